import Box from '@mui/material/Box';
import type { Shapes } from '../../api/client';
import { ink } from '../../identity/tokens';

/** What goes wrong in the students' own calculations by now: worth a word to all once several do it. */
export function Slips({ floor }: { floor: Shapes['Floor'] }) {
  if (floor.slips.length === 0) return null;
  return (
    <Box component="section" sx={{ mt: 2 }}>
      <Box component="h2" sx={{ fontSize: 16, m: 0, mb: 0.5 }}>
        Slips in their own lines
      </Box>
      {floor.slips.map((slip) => (
        <Box
          key={`${slip.kind} ${slip.label}`}
          sx={{ py: 0.75, borderTop: `1px solid ${ink.ruleSoft}`, fontSize: 14.5 }}
        >
          {slip.label}
          <Box sx={{ color: ink.inkSoft, fontSize: 13 }}>
            {slip.benches.length > 1 ? 'benches' : 'bench'} {slip.benches.join(', ')}
          </Box>
        </Box>
      ))}
    </Box>
  );
}
