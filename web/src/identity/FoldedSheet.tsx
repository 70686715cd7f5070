import Box from '@mui/material/Box';
import { useState, type ReactNode } from 'react';
import { ink } from './tokens';

interface Props {
  title: string;
  /** What is in it, as long as it is closed. */
  note: string;
  open?: boolean;
  children: ReactNode;
}

/** A sheet that only some need: closed it says what is in it. What it holds is there once it was opened. */
export function FoldedSheet({ title, note, open: first = false, children }: Props) {
  const [open, setOpen] = useState(first);
  return (
    <Box
      component="details"
      open={open}
      onToggle={(event) => setOpen((event.currentTarget as HTMLDetailsElement).open)}
      sx={{ bgcolor: ink.sheet, border: `1px solid ${ink.rule}`, borderRadius: 2.5, px: 2.5, py: 1.5 }}
    >
      <Box
        component="summary"
        sx={{ cursor: 'pointer', minHeight: 32, display: 'flex', gap: 2, alignItems: 'baseline' }}
      >
        <Box component="h2" sx={{ m: 0, fontSize: 18 }}>
          {title}
        </Box>
        <Box sx={{ color: ink.inkSoft, fontSize: 13.5, ml: 'auto', textAlign: 'right' }}>
          {open ? 'fold' : note}
        </Box>
      </Box>
      {open && children}
    </Box>
  );
}
