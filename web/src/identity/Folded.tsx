import Box from '@mui/material/Box';
import type { ReactNode } from 'react';
import { ink } from './tokens';

/** What only some want to see: a line that opens. */
export function Folded({ title, children }: { title: string; children: ReactNode }) {
  return (
    <Box
      component="details"
      sx={{ mt: 1, fontSize: 14, '& summary': { minHeight: 32, cursor: 'pointer', color: ink.inkSoft } }}
    >
      <summary>{title}</summary>
      {children}
    </Box>
  );
}
