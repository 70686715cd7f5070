import Box from '@mui/material/Box';
import type { Shapes } from '../api/client';
import { Figure } from '../identity/Figure';
import { FIGURES, ink } from '../identity/tokens';

type Result = Shapes['ResultOut'];

const cell = {
  padding: '5px 0 5px 10px',
  textAlign: 'right',
  borderBottom: `1px solid ${ink.ruleSoft}`,
} as const;
const name = { ...cell, textAlign: 'left', paddingLeft: 0, fontWeight: 400 } as const;

/** Results that every trial has: a row for each, a column for each trial. */
export function TrialResults({ results }: { results: Result[] }) {
  const own = results.filter((result) => result.trial !== null);
  if (own.length === 0) return null;
  const rows = own.filter((answer, place) => own.findIndex((other) => other.key === answer.key) === place);
  const trials = [...new Set(own.map((result) => result.trial_name))];
  const at = (row: Result, trial: string) =>
    own.find((answer) => answer.key === row.key && answer.trial_name === trial);
  const named = (row: Result) => `${row.label}${row.unit && `, ${row.unit}`}`;
  // Of many trials each has a line of its own, so that none runs off the page.
  const down = trials.length > 3 && rows.length < trials.length;
  const heads = down ? rows.map(named) : trials;
  const lines = down
    ? trials.map((trial) => ({ label: trial, cells: rows.map((row) => at(row, trial)) }))
    : rows.map((row) => ({ label: named(row), cells: trials.map((trial) => at(row, trial)) }));
  return (
    <Box sx={{ overflowX: 'auto' }}>
      <table style={{ borderCollapse: 'collapse', width: '100%', fontSize: 14.5 }}>
        <thead>
          <tr style={{ color: ink.inkSoft, fontSize: 13 }}>
            <td style={name} />
            {heads.map((head) => (
              <th key={head} scope="col" style={cell}>
                {head}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {lines.map(({ label, cells }) => (
            <tr key={label}>
              <th scope="row" style={name}>
                {label}
              </th>
              {cells.map((result, place) => (
                <td key={heads[place]} style={cell}>
                  <Cell result={result} />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </Box>
  );
}

function Cell({ result }: { result: Result | undefined }) {
  if (!result) return null;
  return (
    <>
      <Figure text={result.shown.text} doubtful={result.shown.doubtful} />
      <Box
        component="span"
        sx={{ display: 'block', fontFamily: FIGURES, fontSize: 12, color: ink.inkSoft, whiteSpace: 'nowrap' }}
      >
        ± {result.uncertainty}
        {result.power ? ` × ${result.power}` : ''}
      </Box>
    </>
  );
}
