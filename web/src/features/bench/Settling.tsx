import Box from '@mui/material/Box';
import { useState } from 'react';
import { FIGURES, ink } from '../../identity/tokens';
import { useNow } from '../../time/useNow';

/** Counts the seconds in which a display comes to rest, from when this reading is in hand. Nothing is locked by it. */
export function Settling({ seconds }: { seconds: number }) {
  const [begun] = useState(Date.now);
  const left = Math.ceil(seconds - (useNow(200) - begun) / 1000);
  return (
    <Box role="timer" sx={{ display: 'flex', alignItems: 'center', gap: 1, minHeight: 30 }}>
      {Array.from({ length: seconds }, (_, place) => (
        <Box
          key={place}
          component="span"
          aria-hidden
          sx={{
            width: 26,
            height: 26,
            borderRadius: '50%',
            display: 'grid',
            placeItems: 'center',
            fontFamily: FIGURES,
            fontSize: 14,
            border: `1.5px solid ${place < seconds - left ? ink.keep : ink.rule}`,
            color: place < seconds - left ? ink.keep : ink.inkSoft,
            bgcolor: place < seconds - left ? ink.keepWash : ink.sheet,
          }}
        >
          {place + 1}
        </Box>
      ))}
      <Box component="span" sx={{ fontSize: 15, fontWeight: left <= 0 ? 700 : 400 }}>
        {left > 0 ? `Let it settle: ${left} s` : 'Read it now'}
      </Box>
    </Box>
  );
}
