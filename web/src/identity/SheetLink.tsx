import Box from '@mui/material/Box';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { ink } from './tokens';

/** A sheet that leads to what it names; ``sx`` adds how its parts stand. */
export function SheetLink({
  to,
  sx,
  children,
}: {
  to: string;
  sx: Record<string, unknown>;
  children: ReactNode;
}) {
  return (
    <Box component={Link} to={to} sx={{ ...SHEET, ...sx }}>
      {children}
    </Box>
  );
}

const SHEET = {
  bgcolor: ink.sheet,
  border: `1px solid ${ink.rule}`,
  borderRadius: 2.5,
  p: 2,
  color: ink.ink,
  textDecoration: 'none',
  '&:hover': { borderColor: ink.link },
};
