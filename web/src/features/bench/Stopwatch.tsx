import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useEffect, useState } from 'react';
import { FIGURES, ink } from '../../identity/tokens';
import { useNow } from '../../time/useNow';

interface Props {
  /** Where it runs: survives a reload there, and is nobody else's. */
  place: string;
  decimals: number;
  colour: string;
  onStop: (text: string) => void;
}

const TICK = 100;

/** A stopwatch for the time in hand: started when things meet, stopped by the eye; the space bar does both. */
export function Stopwatch(props: Props) {
  const { begun, toggle } = useStopwatch(props);
  const now = useNow(TICK);
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 2, flexWrap: 'wrap' }}>
      <Button
        variant={begun === null ? 'outlined' : 'contained'}
        onClick={toggle}
        sx={{ minHeight: 56, fontSize: 17, px: 3 }}
      >
        {begun === null ? 'Start the stopwatch' : 'Stop'}
      </Button>
      {begun === null ? (
        <Box sx={{ color: ink.inkSoft, fontSize: 14, maxWidth: 220 }}>
          Or type what your own shows. The space bar starts and stops.
        </Box>
      ) : (
        <Box role="timer" sx={{ fontFamily: FIGURES, fontSize: 32, fontWeight: 700, color: props.colour }}>
          {Math.max(0, (now - begun) / 1000).toFixed(1)} s
        </Box>
      )}
    </Box>
  );
}

function kept(place: string): number | null {
  const start = Number(localStorage.getItem(place));
  return start > 0 ? start : null;
}

/** When it was begun, kept over a reload, and what starts and stops it: a button, or the space bar. */
function useStopwatch({ place, decimals, onStop }: Props) {
  const [begun, setBegun] = useState(() => kept(place));
  const toggle = () => {
    if (begun === null) {
      const start = Date.now();
      localStorage.setItem(place, String(start));
      setBegun(start);
      return;
    }
    onStop(((Date.now() - begun) / 1000).toFixed(decimals));
    localStorage.removeItem(place);
    setBegun(null);
  };
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const elsewhere =
        event.target instanceof HTMLButtonElement || event.target instanceof HTMLTextAreaElement;
      if (event.key !== ' ' || elsewhere) return;
      event.preventDefault();
      toggle();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  });
  return { begun, toggle };
}
