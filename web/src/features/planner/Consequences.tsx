import Box from '@mui/material/Box';
import type { Shapes } from '../../api/client';
import { sentence } from '../../api/client';
import { Lanes } from '../../charts/Lanes';
import { BudgetBars } from '../../identity/BudgetBars';
import { Folded } from '../../identity/Folded';
import { Pairs } from '../../identity/Pairs';
import { Sheet } from '../../identity/Sheet';
import { FIGURES, ink } from '../../identity/tokens';
import { VerdictLine } from '../../identity/Verdict';

interface Props {
  prediction: Shapes['Prediction'] | undefined;
  error: unknown;
  colour: string;
  benches: number;
  /** How long the session is. */
  minutes: number;
  instruments: string[];
}

/** What the choices lead to, as they are made. */
export function Consequences({ prediction, error, colour, benches, minutes, instruments }: Props) {
  return (
    <Box sx={{ display: 'grid', gap: 2, alignContent: 'start' }}>
      {error ? (
        <VerdictLine level="look" lead="This does not go together yet.">
          {sentence(error)}
        </VerdictLine>
      ) : (
        prediction?.warnings.map((warning) => (
          <VerdictLine key={warning} level="look" lead="Look again.">
            {warning}
          </VerdictLine>
        ))
      )}
      {prediction?.relative && (
        <Sheet title="What to expect">
          <Box sx={{ borderLeft: `6px solid ${colour}`, pl: 1.5, mb: 1.5 }}>
            <Box sx={{ fontSize: 13, fontWeight: 700, color: ink.inkSoft }}>{prediction.result}</Box>
            <Box sx={{ fontFamily: FIGURES, fontSize: 28, fontWeight: 700 }}>{prediction.relative}</Box>
            <Box sx={{ fontSize: 13, color: ink.inkSoft }}>
              95 %, before any reading is made. {prediction.basis}
            </Box>
          </Box>
          <Box sx={{ fontSize: 13, fontWeight: 700, color: ink.inkSoft, mb: 1 }}>What will limit it</Box>
          <BudgetBars lines={prediction.budget} colour={colour} />
          <Box sx={{ mt: 1, color: ink.inkSoft, fontSize: 14 }}>{prediction.advice}</Box>
          <Box sx={{ mt: 1 }}>{prediction.improvement}</Box>
          <Folded title="Other choices, one at a time">
            <Pairs rows={prediction.alternatives.map((one) => [`${one.what}: ${one.instead}`, one.text])} />
          </Folded>
        </Sheet>
      )}
      {prediction?.timetables.map((one) => (
        <Sheet key={one.label} title="Who is where, when" note={one.label}>
          {one.minutes > minutes && (
            <VerdictLine level="look" lead="Too long.">
              The turns alone take {one.minutes} minutes; the session has {minutes}.
            </VerdictLine>
          )}
          <Lanes timetable={one} colour={colour} />
        </Sheet>
      ))}
      {prediction && <Needed needed={prediction.supplies} benches={benches} />}
      {prediction && (
        <Sheet title="At each bench" note={benches > 0 ? `× ${benches}` : ''}>
          {instruments.map((name) => (
            <Box key={name}>{name}</Box>
          ))}
          <Box sx={{ mt: 1, color: ink.inkSoft, fontSize: 14 }}>
            Reads:{' '}
            {prediction.parts
              .filter((part) => part.kind !== 'observation' && !part.optional)
              .map((part) => part.label.toLowerCase())
              .join(' · ')}
          </Box>
        </Sheet>
      )}
    </Box>
  );
}

/** Planning backwards: what to aim at, and what to have ready for everybody. */
function Needed({ needed, benches }: { needed: Shapes['Supplies']; benches: number }) {
  const cell = {
    padding: '5px 10px 5px 0',
    borderBottom: `1px solid ${ink.ruleSoft}`,
    textAlign: 'left',
  } as const;
  const figure = { ...cell, fontFamily: FIGURES, whiteSpace: 'nowrap' } as const;
  return (
    <Sheet
      title="What to weigh and prepare"
      note={`${benches} × ${needed.trials}, ${needed.spare_percent} % spare`}
    >
      {needed.targets.map((target) => (
        <Box
          key={target.label}
          sx={{ display: 'grid', gridTemplateColumns: '1fr auto', columnGap: 2, mb: 1 }}
        >
          <span>
            {target.label}
            <Box component="span" sx={{ display: 'block', color: ink.inkSoft, fontSize: 13 }}>
              {target.why}
            </Box>
          </span>
          <Box
            component="span"
            sx={{ fontFamily: FIGURES, fontSize: 20, fontWeight: 700, whiteSpace: 'nowrap' }}
          >
            {target.text}
          </Box>
        </Box>
      ))}
      <Box sx={{ overflowX: 'auto' }}>
        <table style={{ borderCollapse: 'collapse', width: '100%', fontSize: 14 }}>
          <thead>
            <tr style={{ color: ink.inkSoft, fontSize: 13 }}>
              {['Used up', 'each', 'bench', 'class'].map((head) => (
                <th key={head} style={cell}>
                  {head}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {needed.supplies.map((supply) => (
              <tr key={supply.label}>
                <td style={cell}>
                  {supply.label}
                  <Box component="span" sx={{ display: 'block', color: ink.inkSoft, fontSize: 12.5 }}>
                    {supply.note}
                  </Box>
                </td>
                <td style={{ ...figure, whiteSpace: 'normal' }}>{supply.each}</td>
                <td style={figure}>{supply.bench}</td>
                <td style={{ ...figure, fontWeight: 700 }}>{supply.whole_class}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </Box>
    </Sheet>
  );
}
