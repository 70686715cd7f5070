import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { FIGURES, ink } from '../../identity/tokens';
import { entries, nameOf, rowsToType, text, type Entry, type Row } from './draft';
import { useWorkshop } from './fields';

interface Props {
  rows: unknown;
  onChange: (rows: Row[]) => void;
}

export const rowsIn = (value: unknown): Row[] =>
  Array.isArray(value) ? value.filter((row): row is Row => Array.isArray(row) && row.length === 4) : [];

/** The readings of a run: what, in which trial, and the text as typed. */
export function RowsTable({ rows, onChange }: Props) {
  const { draft } = useWorkshop();
  const all = rowsIn(rows);
  const parts = new Map(entries(draft.readings).map((entry) => [text(entry.key), entry]));
  const put = (at: number, typed: string) =>
    onChange(all.map(([key, trial, index, old], place) => [key, trial, index, place === at ? typed : old]));
  if (all.length === 0)
    return (
      <Button variant="outlined" onClick={() => onChange(rowsToType(draft))}>
        Lay out what is read
      </Button>
    );
  return (
    <Box sx={{ overflowX: 'auto' }}>
      <Box
        component="table"
        sx={{
          borderCollapse: 'collapse',
          width: '100%',
          '& td, & th': { p: '3px 10px 3px 0', textAlign: 'left' },
        }}
      >
        <thead>
          <tr style={{ fontSize: 13, color: ink.inkSoft }}>
            <th scope="col">Reading</th>
            <th scope="col">Trial</th>
            <th scope="col">As typed</th>
            <td />
          </tr>
        </thead>
        <tbody>
          {all.map((row, at) => (
            <OneRow
              key={at}
              row={row}
              part={parts.get(row[0])}
              onType={(typed) => put(at, typed)}
              onRemove={() => onChange(all.filter((_, place) => place !== at))}
            />
          ))}
        </tbody>
      </Box>
      <Box sx={{ display: 'flex', gap: 1, mt: 1 }}>
        <Button onClick={() => onChange([...all, ...nextTrial(all)])}>One more trial</Button>
        <Button onClick={() => onChange([])}>Clear</Button>
      </Box>
    </Box>
  );
}

interface RowProps {
  row: Row;
  part: Entry | undefined;
  onType: (typed: string) => void;
  onRemove: () => void;
}

function OneRow({ row: [key, trial, index, typed], part, onType, onRemove }: RowProps) {
  const name = part ? nameOf(part) : key;
  return (
    <tr>
      <td>
        {name}
        {index !== null && <span style={{ color: ink.inkSoft }}> no. {index}</span>}
      </td>
      <td style={{ fontFamily: FIGURES }}>{trial ?? ''}</td>
      <td>
        <input
          aria-label={[name, trial && `trial ${trial}`, index && `no. ${index}`].filter(Boolean).join(', ')}
          value={typed}
          onChange={({ target }) => onType(target.value)}
          style={{
            font: `16px ${FIGURES}`,
            width: 130,
            minHeight: 36,
            padding: '2px 8px',
            color: ink.ink,
            background: ink.sheet,
            border: `1.5px solid ${ink.rule}`,
            borderRadius: 8,
          }}
        />
        <span style={{ color: ink.inkSoft, marginLeft: 6 }}>{text(part?.unit)}</span>
      </td>
      <td>
        <Button aria-label={`Remove ${name}`} onClick={onRemove}>
          Remove
        </Button>
      </td>
    </tr>
  );
}

/** The rows of the last trial once more, empty. */
function nextTrial(rows: Row[]): Row[] {
  const last = Math.max(0, ...rows.map(([, trial]) => trial ?? 0));
  return rows
    .filter(([, trial]) => trial === last)
    .map(([key, , index]) => [key, last + 1, index, ''] satisfies Row);
}
