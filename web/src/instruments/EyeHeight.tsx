import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';

/** Divisions by which one move of the head shifts what is seen. */
const MOVE = 0.3;

/** Where the eye stands against the level: at its height the ring of a mark is one line. */
export function useEye(start: number) {
  const [moves, setMoves] = useState(0);
  return { eye: start + moves * MOVE, move: (way: 1 | -1) => setMoves((now) => now + way) };
}

/** Moves the head up and down beside a drawn scale. */
export function EyeHeight({ onMove }: { onMove: (way: 1 | -1) => void }) {
  return (
    <Box role="group" aria-label="Your eye" sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
      <Button size="small" variant="outlined" onClick={() => onMove(1)}>
        Eye higher
      </Button>
      <Button size="small" variant="outlined" onClick={() => onMove(-1)}>
        Eye lower
      </Button>
    </Box>
  );
}
