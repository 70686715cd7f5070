import Box from '@mui/material/Box';
import CircularProgress from '@mui/material/CircularProgress';
import type { ReactNode } from 'react';
import { NotDone } from './NotDone';

/** A page's paper, with its width and margins. */
export function Page({ children, wide = false }: { children: ReactNode; wide?: boolean }) {
  return (
    <Box
      component="main"
      sx={{ width: '100%', maxWidth: wide ? 1280 : 1080, mx: 'auto', px: { xs: 2, md: 3 }, py: 3 }}
    >
      {children}
    </Box>
  );
}

interface Asked<T> {
  data: T | undefined;
  error: unknown;
}

/** What was asked for, or a sign that it is coming, or the sentence why it is not. */
export function Loaded<T>({ of, children }: { of: Asked<T>; children: (data: T) => ReactNode }) {
  if (of.data !== undefined) return <>{children(of.data)}</>;
  if (of.error)
    return (
      <Page>
        <NotDone lead="Not shown." error={of.error} />
      </Page>
    );
  return (
    <Box sx={{ display: 'grid', placeItems: 'center', minHeight: 240 }} role="status">
      <CircularProgress size={32} aria-label="Loading" />
    </Box>
  );
}
