import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useEffect, useState, type KeyboardEvent } from 'react';
import type { Shapes } from '../api/client';
import { asText, ink } from '../identity/tokens';
import { MoveDrawing } from './MoveDrawing';
import { useScene } from './useScene';

const SECONDS = 4; // a move, when it plays by itself

/** How hands do it, in two to four moves: beside each other, or one at a time where there is no room. */
export function Scene({ of, colour }: { of: string; colour: string }) {
  const scene = useScene(of);
  return scene.data ? <Moves scene={scene.data} colour={colour} /> : null;
}

function Moves({ scene, colour }: { scene: Shapes['SceneDrawn']; colour: string }) {
  const [at, setAt] = useState(0);
  const [plays, setPlays] = useState(false);
  const last = scene.moves.length - 1;
  useEffect(() => {
    if (!plays) return undefined;
    const next = setTimeout(() => (at < last ? setAt(at + 1) : setPlays(false)), SECONDS * 1000);
    return () => clearTimeout(next);
  }, [plays, at, last]);
  const go = (to: number) => {
    setPlays(false);
    setAt(Math.min(Math.max(to, 0), last));
  };
  const keys = (event: KeyboardEvent) => {
    if (event.key !== 'ArrowLeft' && event.key !== 'ArrowRight') return;
    event.preventDefault();
    go(at + (event.key === 'ArrowRight' ? 1 : -1));
  };
  const play = () => {
    if (!plays && at === last) setAt(0);
    setPlays(!plays);
  };
  return (
    <Box role="group" aria-label={scene.title} onKeyDown={keys}>
      <Box
        sx={{
          ...STRIP,
          gridTemplateColumns: { xs: '1fr', sm: `repeat(${scene.moves.length}, minmax(0, 210px))` },
        }}
      >
        {scene.moves.map((move, place) => (
          <Card
            key={place}
            {...{ scene, move, place, colour }}
            here={place === at}
            onHere={() => go(place)}
          />
        ))}
      </Box>
      <Box
        sx={{
          display: 'flex',
          gap: 1,
          alignItems: 'center',
          mb: -1,
          '& button': { minHeight: 32, minWidth: 40, py: 0 },
        }}
      >
        <Button size="small" onClick={() => go(at - 1)} disabled={at === 0} aria-label="The move before">
          ←
        </Button>
        <Box component="span" role="status" sx={{ color: ink.inkSoft, fontSize: 14 }}>
          {at + 1} of {last + 1}
        </Box>
        <Button size="small" onClick={() => go(at + 1)} disabled={at === last} aria-label="The next move">
          →
        </Button>
        <Button size="small" onClick={play}>
          {plays ? 'Stop' : 'Play'}
        </Button>
      </Box>
    </Box>
  );
}

const STRIP = { display: 'grid', gap: 1.5, justifyContent: 'start' } as const;

interface CardProps {
  scene: Shapes['SceneDrawn'];
  move: Shapes['MoveDrawn'];
  place: number;
  colour: string;
  here: boolean;
  onHere: () => void;
}

function Card({ scene, move, place, colour, here, onHere }: CardProps) {
  return (
    <Box
      component="figure"
      onClick={onHere}
      aria-current={here ? 'step' : undefined}
      sx={{
        m: 0,
        p: 1.25,
        bgcolor: ink.sheet,
        border: `2px solid ${here ? asText(colour) : ink.ruleSoft}`,
        borderRadius: 2,
        display: { xs: here ? 'block' : 'none', sm: 'block' },
      }}
    >
      <Box sx={{ maxWidth: { xs: 210, sm: 260 }, mx: 'auto' }}>
        <MoveDrawing move={move} width={scene.width} height={scene.height} colour={colour} />
      </Box>
      <Box component="figcaption" sx={{ fontSize: 15, lineHeight: 1.35 }}>
        <Box component="span" sx={{ color: asText(colour), fontWeight: 700, mr: 0.75 }}>
          {place + 1}
        </Box>
        {move.text}
        {move.mind && (
          <Box sx={{ mt: 0.75, pl: 1, borderLeft: `3px solid ${ink.stop}`, fontSize: 14 }}>{move.mind}</Box>
        )}
      </Box>
    </Box>
  );
}
