import Box from '@mui/material/Box';
import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import type { Shapes } from '../api/client';
import { FIGURES, ink } from '../identity/tokens';
import type { Move } from './Lanes';
import { runs } from './runs';

const LANE = 50; // px from one lane to the next
const STEPS: Record<string, [number, number]> = {
  ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1],
}; // prettier-ignore

interface Props {
  lane: Shapes['Lane'];
  turn: Shapes['Turn'];
  /** Of the whole timetable. */
  minutes: number;
  colour: string;
  /** How many lanes its equipment has. */
  pieces: number;
  onMove: Move | undefined;
}

/** One turn. Where it may be put elsewhere: dragged, or picked and moved with the arrow keys, Enter leaves it there. */
export function TurnBlock({ lane, turn, minutes, colour, pieces, onMove }: Props) {
  const [by, setBy] = useState<[number, number]>([0, 0]);
  const from = useRef<{ x: number; y: number; width: number } | null>(null);
  const within = (start: number, piece: number): [number, number] => [
    Math.max(start, -turn.start),
    Math.min(Math.max(piece, -lane.piece), pieces - 1 - lane.piece),
  ];
  const leave = ([start, piece]: [number, number]) => {
    setBy([0, 0]);
    if (start !== 0 || piece !== 0) onMove?.(lane, turn, turn.start + start, lane.piece + piece);
  };
  const moved = (event: PointerEvent) => {
    const { x, y, width } = from.current ?? { x: 0, y: 0, width: 1 };
    return within(
      Math.round(((event.clientX - x) / width) * minutes),
      Math.round((event.clientY - y) / LANE),
    );
  };
  const onKey = (event: KeyboardEvent) => {
    const step = STEPS[event.key];
    if (step) setBy(within(by[0] + step[0], by[1] + step[1]));
    else if (event.key === 'Enter') leave(by);
    else if (event.key === 'Escape') setBy([0, 0]);
    else return;
    event.preventDefault();
  };
  const shown = [whole(turn.label), turn.pinned.length > 0 && 'pinned'].filter(Boolean).join(' ');
  const handles = onMove && {
    tabIndex: 0,
    role: 'button',
    'aria-description': `${lane.label}, benches ${runs(turn.benches)}, from minute ${turn.start + by[0]}`,
    onKeyDown: onKey,
    onBlur: () => leave(by),
    onPointerDown: (event: PointerEvent<HTMLElement>) => {
      const width = event.currentTarget.parentElement?.getBoundingClientRect().width ?? 1;
      from.current = { x: event.clientX, y: event.clientY, width };
      event.currentTarget.setPointerCapture(event.pointerId);
    },
    onPointerMove: (event: PointerEvent) => from.current && setBy(moved(event)),
    onPointerUp: (event: PointerEvent) => {
      const to = moved(event);
      from.current = null;
      leave(to);
    },
    onPointerCancel: () => {
      from.current = null;
      setBy([0, 0]);
    },
  };
  const moving = by[0] !== 0 || by[1] !== 0;
  return (
    <Box
      {...handles}
      sx={{
        position: 'absolute',
        inset: '2px auto 2px',
        left: `${(100 * (turn.start + by[0])) / minutes}%`,
        width: `${(100 * (turn.end - turn.start)) / minutes}%`,
        transform: `translateY(${by[1] * LANE}px)`,
        zIndex: moving ? 2 : 'auto',
        px: '1px',
        ...(onMove && { cursor: 'grab', touchAction: 'none' }),
      }}
    >
      <Box sx={{ ...block(turn, colour), height: '100%', opacity: moving ? 0.85 : 1 }}>
        {turn.label && <Box sx={{ fontWeight: 700, lineHeight: 1.2 }}>{shown}</Box>}
        <Box sx={{ fontFamily: FIGURES, lineHeight: 1.25 }}>{runs(turn.benches)}</Box>
      </Box>
    </Box>
  );
}

/** “to 60 °C”, with number and unit in one line. */
const whole = (label: string) => label.replace(/ (?=\S+$)/, '\u00a0');

/** In use: the accent; being set anew: only an outline; pinned: a ring. */
const block = (turn: Shapes['Turn'], colour: string) => ({
  borderRadius: 1,
  px: 0.75,
  fontSize: 12.5,
  display: 'grid',
  alignContent: 'center',
  overflow: 'hidden',
  color: ink.ink,
  bgcolor: ink.sheet,
  border:
    turn.benches.length === 0
      ? `1.5px dashed ${ink.rule}`
      : `1px solid color-mix(in srgb, ${colour} 50%, ${ink.rule})`,
  boxShadow: turn.benches.length === 0 ? 'none' : `inset 4px 0 0 ${colour}`,
  ...(turn.pinned.length > 0 && {
    outline: `2px solid color-mix(in srgb, ${colour} 45%, transparent)`,
    outlineOffset: '1px',
  }),
});
