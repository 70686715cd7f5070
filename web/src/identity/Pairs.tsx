import Box from '@mui/material/Box';
import { ink } from './tokens';

/** Names with what was chosen or read for them, one line each. */
export function Pairs({ rows }: { rows: [string, string][] }) {
  return (
    <Box component="dl" sx={{ m: 0 }}>
      {rows.map(([name, text]) => (
        <Box
          key={name}
          sx={{
            display: 'flex',
            justifyContent: 'space-between',
            gap: 2,
            py: 0.6,
            borderBottom: `1px solid ${ink.ruleSoft}`,
            fontSize: 14.5,
          }}
        >
          <dt>{name}</dt>
          <Box component="dd" sx={{ m: 0, color: ink.inkSoft, textAlign: 'right' }}>
            {text}
          </Box>
        </Box>
      ))}
    </Box>
  );
}
