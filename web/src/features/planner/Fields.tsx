import Box from '@mui/material/Box';
import type { ReactNode } from 'react';

/** Fields of a form, two in a row where there is room. */
export function Fields({ children }: { children: ReactNode }) {
  return (
    <Box sx={{ display: 'grid', gap: 2, gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' }, pt: 1 }}>
      {children}
    </Box>
  );
}
