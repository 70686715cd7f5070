import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { Shapes } from '../../api/client';
import { counted } from '../../identity/counted';
import { CheckIcon, TriangleIcon } from '../../identity/Icons';
import { Sheet } from '../../identity/Sheet';
import { TABLE } from '../../identity/table';
import { FIGURES, ink } from '../../identity/tokens';
import { VerdictLine } from '../../identity/Verdict';

interface Props {
  brought: Shapes['Brought'];
  /** What a trial is called here. */
  noun: string;
  busy: boolean;
  onKeep: () => void;
}

type Row = Shapes['RowRead'];

/** A table as it was understood, reading by reading, and what is the matter with those that are not kept. */
export function BroughtTable({ brought, noun, busy, onKeep }: Props) {
  const fit = brought.rows.filter((row) => !row.problem && !row.known).length;
  const wrong = brought.rows.filter((row) => row.problem).length;
  return (
    <Sheet title="As it was understood" note={brought.shape}>
      <Box sx={{ display: 'grid', gap: 1.5 }}>
        {brought.kept > 0 && (
          <VerdictLine level="keep" lead="Kept.">
            {brought.kept} {brought.kept === 1 ? 'reading is' : 'readings are'} on the record.
          </VerdictLine>
        )}
        {brought.notes.map((note) => (
          <VerdictLine key={note} level="look" lead="Look at it.">
            {note}
          </VerdictLine>
        ))}
        <Rows rows={brought.rows} noun={noun} />
        {fit > 0 && (
          <Button variant="contained" disabled={busy} onClick={onKeep} sx={{ justifySelf: 'start' }}>
            Keep {counted(fit, 'reading')}
            {wrong > 0 ? `, leave ${wrong}` : ''}
          </Button>
        )}
      </Box>
    </Sheet>
  );
}

function Rows({ rows, noun }: { rows: Row[]; noun: string }) {
  return (
    <Box sx={{ overflowX: 'auto' }}>
      <Box component="table" sx={TABLE}>
        <thead>
          <tr>
            {['Line', 'What', noun, 'Row', 'As it will stand', ''].map((head) => (
              <th key={head}>{head}</th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row, place) => (
            <Line key={place} row={row} />
          ))}
        </tbody>
      </Box>
    </Box>
  );
}

function Line({ row }: { row: Row }) {
  return (
    <tr>
      <td style={{ fontFamily: FIGURES, color: ink.inkSoft }}>{row.line}</td>
      <td>{row.label}</td>
      <td style={{ fontFamily: FIGURES }}>{row.trial}</td>
      <td style={{ fontFamily: FIGURES }}>{row.index}</td>
      <td style={{ fontFamily: FIGURES, fontWeight: 700 }}>{row.text}</td>
      <td>
        <State row={row} />
      </td>
    </tr>
  );
}

function State({ row }: { row: Row }) {
  if (row.problem)
    return (
      <Box sx={{ color: ink.look, display: 'flex', gap: 0.5, fontSize: 14 }}>
        <TriangleIcon sx={{ fontSize: 18 }} titleAccess="Not kept" /> {row.problem}
      </Box>
    );
  if (row.known)
    return (
      <Box sx={{ color: ink.keep, display: 'flex', gap: 0.5, fontSize: 14 }}>
        <CheckIcon sx={{ fontSize: 18 }} /> stands at the bench
      </Box>
    );
  return <Box sx={{ color: ink.inkSoft, fontSize: 14 }}>new</Box>;
}
