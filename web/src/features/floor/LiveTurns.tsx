import Box from '@mui/material/Box';
import type { Shapes } from '../../api/client';
import { Lanes } from '../../charts/Lanes';
import { Sheet } from '../../identity/Sheet';
import { accent } from '../../identity/tokens';

/** Who is at what benches share, and when the others come as things stand. */
export function LiveTurns({ floor }: { floor: Shapes['Floor'] }) {
  const { turns, session } = floor;
  if (!turns) return null;
  return (
    <Box sx={{ mt: 2 }}>
      <Sheet title="Who is where, and who comes next" note={turns.timetable.label}>
        <Lanes
          timetable={turns.timetable}
          colour={accent(session.family)}
          begins={turns.begins}
          now={turns.now}
        />
      </Sheet>
    </Box>
  );
}
