import Box from '@mui/material/Box';
import type { ReactNode } from 'react';

/** Two columns of sheets, the left one wider; one below the other where there is no room. */
export function Columns({ children, right = 'minmax(0, 1fr)' }: { children: ReactNode; right?: string }) {
  return (
    <Box
      sx={{
        display: 'grid',
        gap: 3,
        alignItems: 'start',
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: `minmax(0, 1.3fr) ${right}` },
      }}
    >
      {children}
    </Box>
  );
}
