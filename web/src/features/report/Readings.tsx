import Box from '@mui/material/Box';
import type { Shapes } from '../../api/client';
import { Figure } from '../../identity/Figure';
import { clock } from '../../time/time';
import { FIGURES, ink } from '../../identity/tokens';

type Reading = Shapes['ReadingOut'];

const cell = {
  padding: '5px 10px 5px 0',
  borderBottom: `1px solid ${ink.ruleSoft}`,
  verticalAlign: 'top',
} as const;

/** Everything that was read and seen: once for the bench, then trial by trial, and what was corrected. */
export function Readings({ report }: { report: Shapes['Report'] }) {
  const { evaluation } = report;
  return (
    <>
      <Made readings={evaluation.bench} />
      {evaluation.trials.length > 0 && (
        <table style={{ borderCollapse: 'collapse', width: '100%', marginTop: 8 }}>
          <tbody>
            {evaluation.trials.map((trial) => (
              <tr key={trial.number}>
                <Box
                  component="th"
                  style={{ ...cell, textAlign: 'left', width: 90 }}
                  sx={{ '&::first-letter': { textTransform: 'uppercase' } }}
                >
                  {trial.name}
                  {trial.state !== 'rough' && (
                    <Box sx={{ fontWeight: 400, fontSize: 13, color: ink.inkSoft }}>{trial.state}</Box>
                  )}
                </Box>
                <td style={cell}>
                  <Box sx={{ textDecoration: trial.state === 'void' ? 'line-through' : 'none' }}>
                    <Made readings={trial.readings} />
                  </Box>
                  {trial.why && <Box sx={{ fontSize: 13.5, color: ink.inkSoft }}>{trial.why}</Box>}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {report.taken.map((line) => (
        <Box key={line} sx={{ mt: 1, fontSize: 13.5, color: ink.inkSoft }}>
          {line}
        </Box>
      ))}
      {report.corrections.map((correction) => (
        <Box key={correction.at} sx={{ mt: 1, fontSize: 14 }}>
          {correction.label}: <s style={{ fontFamily: FIGURES }}>{correction.old}</s> →{' '}
          <span style={{ fontFamily: FIGURES }}>{correction.new}</span>. {correction.reason}{' '}
          <span style={{ color: ink.inkSoft }}>
            ({correction.author}, {clock(correction.at)})
          </span>
        </Box>
      ))}
    </>
  );
}

/** Readings in their order; those that are made in turn as a table of their own. */
function Made({ readings }: { readings: Reading[] }) {
  const bases = [...new Set(readings.map((reading) => reading.beside).filter(Boolean))];
  const alone = readings.filter((reading) => !reading.beside && !bases.includes(reading.key));
  return (
    <>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 2.5 }}>
        {alone.map((reading) => (
          <span key={`${reading.key}${reading.index ?? ''}`}>
            <span style={{ color: ink.inkSoft }}>{reading.label}</span>{' '}
            {reading.shown.doubtful > 0 ? <Figure {...reading.shown} /> : reading.shown.text}
          </span>
        ))}
      </Box>
      {bases.map((base) => (
        <InTurn
          key={base}
          readings={readings.filter((reading) => reading.key === base || reading.beside === base)}
        />
      ))}
    </>
  );
}

/** Readings made in turn: a small column for each point, its kinds one under the other; columns wrap. */
function InTurn({ readings }: { readings: Reading[] }) {
  const kinds = readings.filter(
    (reading, at) => readings.findIndex((other) => other.key === reading.key) === at,
  );
  const points = [...new Set(readings.map((reading) => reading.index))];
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 2, rowGap: 1, my: 0.5, fontSize: 14.5 }}>
      <Box sx={{ color: ink.inkSoft }}>
        {kinds.map((kind) => (
          <div key={kind.key}>
            {kind.label}
            {kind.shown.unit && `, ${kind.shown.unit}`}
          </div>
        ))}
      </Box>
      {points.map((index) => (
        <Box key={index} sx={{ textAlign: 'right' }}>
          {readings
            .filter((reading) => reading.index === index)
            .map((reading) => (
              <div key={reading.key}>
                <Figure text={reading.shown.text} doubtful={reading.shown.doubtful} />
              </div>
            ))}
        </Box>
      ))}
    </Box>
  );
}
