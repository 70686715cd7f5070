import Box from '@mui/material/Box';
import Checkbox from '@mui/material/Checkbox';
import { useState, type ReactNode } from 'react';
import { FIGURES, ink } from '../../identity/tokens';

interface Props {
  title: string;
  amount: string;
  ready: boolean;
  /** Nobody ticks a line of a session that is over. */
  onTick?: ((ready: boolean) => Promise<unknown>) | undefined;
  children?: ReactNode;
}

/** A line of the prep room's list: a box to tick, what it is, how much; what there is to say of it below. */
export function ListLine({ title, amount, ready, onTick, children }: Props) {
  const [told, setTold] = useState<boolean | null>(null);
  const tick = async (wanted: boolean) => {
    setTold(wanted); // at once, and back if it could not be kept
    await onTick?.(wanted).catch(() => undefined);
    setTold(null);
  };
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: '34px minmax(0, 1fr) auto',
        columnGap: 1,
        py: 1,
        borderTop: `1px solid ${ink.ruleSoft}`,
      }}
    >
      <Checkbox
        checked={told ?? ready}
        disabled={!onTick}
        onChange={(event) => void tick(event.target.checked)}
        slotProps={{ input: { 'aria-label': title } }}
        sx={{ p: 0.5, alignSelf: 'start', color: ink.inkSoft, '&.Mui-checked': { color: ink.keep } }}
      />
      <Box sx={{ fontWeight: 600, alignSelf: 'center' }}>{title}</Box>
      <Box sx={{ fontFamily: FIGURES, fontSize: 16, alignSelf: 'center', whiteSpace: 'nowrap' }}>
        {amount}
      </Box>
      <Box sx={{ gridColumn: '2 / -1', fontSize: 14, color: ink.inkSoft }}>{children}</Box>
    </Box>
  );
}
