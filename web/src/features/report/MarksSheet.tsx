import Box from '@mui/material/Box';
import { useOwnMarks } from '../../api/hooks';
import { Sheet } from '../../identity/Sheet';
import { FIGURES, ink } from '../../identity/tokens';

/** The marks of a bench by cause, once they are released. */
export function MarksSheet({ bench }: { bench: number }) {
  const marks = useOwnMarks(bench).data?.marks;
  if (!marks) return null;
  return (
    <Sheet title="Marks" note={<b style={{ fontFamily: FIGURES }}>{`${marks.points} of ${marks.most}`}</b>}>
      {marks.lines.map((line) => (
        <Box key={line.kind} sx={{ borderTop: `1px solid ${ink.ruleSoft}`, py: 0.75 }}>
          <Box sx={{ display: 'flex', justifyContent: 'space-between', gap: 1 }}>
            <b>{line.label}</b>
            <span style={{ fontFamily: FIGURES }}>
              {line.decided ?? line.proposed} of {line.most}
            </span>
          </Box>
          <Box sx={{ fontSize: 14 }}>{line.note}</Box>
          <Box sx={{ color: ink.inkSoft, fontSize: 13.5 }}>{line.reasons.join(' ')}</Box>
        </Box>
      ))}
    </Sheet>
  );
}
