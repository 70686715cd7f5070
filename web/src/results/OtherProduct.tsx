import Box from '@mui/material/Box';
import type { Shapes } from '../api/client';
import { Figure } from '../identity/Figure';
import { FIGURES, ink } from '../identity/tokens';
import { StateTag } from '../identity/Verdict';

/** Another product's prepared data: announced at first, beside the bench's own once its trials agree. */
export function OtherProduct({ comparison }: { comparison: Shapes['ComparisonView'] }) {
  return (
    <Box
      component="section"
      sx={{ border: `1px solid ${ink.rule}`, borderRadius: 2, bgcolor: ink.sheet, p: 1.5 }}
    >
      <Box component="h3" sx={{ fontSize: 14, m: 0, mb: 0.5 }}>
        {comparison.label}{' '}
        <StateTag
          level={comparison.opened ? 'keep' : 'look'}
          word={comparison.opened ? 'Open to compare' : 'Not yet'}
        />
      </Box>
      <Box sx={{ fontSize: 14 }}>{comparison.sentence}</Box>
      {comparison.trials.map((trial) => (
        <Box
          key={trial.number}
          sx={{ fontSize: 13.5, mt: 0.75, display: 'flex', flexWrap: 'wrap', columnGap: 1.5 }}
        >
          <Box
            component="strong"
            sx={{ display: 'block', '&::first-letter': { textTransform: 'uppercase' } }}
          >
            {trial.name}
          </Box>
          {trial.readings
            .filter((reading) => reading.shown.doubtful > 0)
            .map((reading) => (
              <span key={`${reading.key}${reading.index ?? ''}`}>
                <span style={{ color: ink.inkSoft }}>{reading.label}</span> <Figure {...reading.shown} />
              </span>
            ))}
        </Box>
      ))}
      {comparison.beside.length > 0 && <Pair comparison={comparison} />}
    </Box>
  );
}

/** Result by result: the bench's own beside the other's. */
function Pair({ comparison }: { comparison: Shapes['ComparisonView'] }) {
  const cell = {
    padding: '5px 0 5px 8px',
    borderBottom: `1px solid ${ink.ruleSoft}`,
    textAlign: 'right',
  } as const;
  const name = { ...cell, paddingLeft: 0, textAlign: 'left', fontWeight: 400 } as const;
  const figure = { ...cell, fontFamily: FIGURES, fontSize: 12.5, whiteSpace: 'nowrap' } as const;
  return (
    <table style={{ borderCollapse: 'collapse', width: '100%', marginTop: 8, fontSize: 13.5 }}>
      <thead>
        <tr style={{ color: ink.inkSoft, fontSize: 12.5 }}>
          <td style={name} />
          <th scope="col" style={cell}>
            Yours
          </th>
          <th scope="col" style={cell}>
            {comparison.label}
          </th>
        </tr>
      </thead>
      <tbody>
        {comparison.beside.map((pair) => (
          <tr key={pair.key}>
            <th scope="row" style={name}>
              {pair.label}
              {pair.unit && `, ${pair.unit}`}
            </th>
            <td style={figure}>{pair.own}</td>
            <td style={figure}>{pair.other}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
