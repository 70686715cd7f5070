import Box from '@mui/material/Box';
import { ink } from '../identity/tokens';

const SAID: Record<string, string> = { class: 'Simulated: a made-up class', worked: 'Simulated bench' };

/** Says of a session that nobody stood in a room for it; nothing for one that was held. */
export function Simulated({ how, short = false }: { how: string; short?: boolean }) {
  if (!how) return null;
  return (
    <Box
      component="span"
      sx={{
        px: 1,
        borderRadius: 1,
        bgcolor: ink.lookWash,
        color: ink.look,
        fontSize: 13.5,
        fontWeight: 700,
        whiteSpace: 'nowrap',
      }}
    >
      {short ? 'Simulated' : SAID[how]}
    </Box>
  );
}
