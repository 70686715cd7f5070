import Box from '@mui/material/Box';
import type { ReactNode } from 'react';
import { ink } from './tokens';

/** A sheet of paper with its title, and a word at its right where there is one. */
export function Sheet({
  title,
  note = '',
  children,
}: {
  title: string;
  note?: ReactNode;
  children: ReactNode;
}) {
  return (
    <Box
      component="section"
      sx={{ bgcolor: ink.sheet, border: `1px solid ${ink.rule}`, borderRadius: 2.5, p: 2.5, minWidth: 0 }}
    >
      <Box
        sx={{
          display: 'flex',
          flexWrap: 'wrap',
          justifyContent: 'space-between',
          alignItems: 'baseline',
          columnGap: 2,
          mb: 1,
        }}
      >
        <Box component="h2" sx={{ m: 0, fontSize: 18, flexShrink: 0, maxWidth: '100%' }}>
          {title}
        </Box>
        {note && <Box sx={{ color: ink.inkSoft, fontSize: 13.5, textAlign: 'right' }}>{note}</Box>}
      </Box>
      {children}
    </Box>
  );
}
