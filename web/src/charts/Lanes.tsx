import Box from '@mui/material/Box';
import type { ReactNode } from 'react';
import type { Shapes } from '../api/client';
import { clock } from '../time/time';
import { FIGURES, ink } from '../identity/tokens';
import { TurnBlock } from './TurnBlock';

type Lane = Shapes['Lane'];
type Turn = Shapes['Turn'];

/** Puts a turn elsewhere: at another minute, at another piece of its equipment. */
export type Move = (lane: Lane, turn: Turn, start: number, piece: number) => void;

interface Props {
  timetable: Shapes['Timetable'];
  colour: string;
  /** When it begins, for the clock above the lanes; minutes where that is not known. */
  begins?: string;
  /** Where turns may be put elsewhere. */
  onMove?: Move | undefined;
  /** The minute it is, while the class works. */
  now?: number;
}

const NAME = 118; // px for the names of the lanes
// Names stay where they are while a narrow screen scrolls the lanes.
const name = {
  width: NAME,
  flexShrink: 0,
  pr: 1,
  position: 'sticky',
  left: 0,
  zIndex: 3,
  bgcolor: ink.sheet,
} as const;

/** Turns at shared equipment: a lane for each piece, minutes from left to right, bench numbers in the turns. */
export function Lanes({ timetable, colour, begins, onMove, now }: Props) {
  const { lanes } = timetable;
  const minutes = Math.max(timetable.minutes, now ?? 0, 1);
  const starts = [...new Set(lanes.flatMap((lane) => lane.turns.map((turn) => turn.start)))].sort(
    (a, b) => a - b,
  );
  return (
    <Box component="figure" sx={{ m: 0 }}>
      <Box sx={{ overflowX: 'auto' }}>
        <Box sx={{ minWidth: NAME + 58 * starts.length }}>
          <Scale starts={starts} minutes={minutes} begins={begins} />
          {lanes.map((lane) => (
            <Lane key={lane.label} label={lane.label} height={lane.piece < 0 ? 56 : 46}>
              {now !== undefined && <Now left={place(now, minutes)} />}
              {lane.turns.map((turn) => (
                <TurnBlock
                  key={`${turn.start} ${turn.value}`}
                  {...{ lane, turn, minutes, colour }}
                  pieces={
                    lanes.filter((other) => other.equipment === lane.equipment && other.piece >= 0).length
                  }
                  onMove={turn.benches.length > 0 && lane.piece >= 0 ? onMove : undefined}
                />
              ))}
            </Lane>
          ))}
        </Box>
      </Box>
      <Box component="figcaption" sx={{ fontSize: 13.5, color: ink.inkSoft, mt: 0.5 }}>
        {timetable.sentence} {timetable.meanwhile && `Meanwhile: ${timetable.meanwhile}`}
      </Box>
    </Box>
  );
}

/** Where the class is now, across a lane. */
const Now = ({ left }: { left: string }) => (
  <Box
    sx={{
      position: 'absolute',
      left,
      top: -2,
      bottom: -2,
      borderLeft: `2px solid ${ink.ink}`,
      zIndex: 1,
    }}
  />
);

const place = (minute: number, minutes: number) => `${(100 * minute) / minutes}%`;

/** When turns begin: by the clock, or in minutes; those that would stand on each other are left out. */
function Lane({ label, height, children }: { label: string; height: number; children: ReactNode }) {
  return (
    <Box sx={{ display: 'flex', alignItems: 'stretch', mb: 0.5 }}>
      <Box sx={{ ...name, fontSize: 13.5, display: 'grid', alignItems: 'center' }}>{label}</Box>
      <Box sx={{ position: 'relative', flex: 1, minHeight: height, bgcolor: ink.ground, borderRadius: 1 }}>
        {children}
      </Box>
    </Box>
  );
}

function Scale({
  starts,
  minutes,
  begins,
}: {
  starts: number[];
  minutes: number;
  begins?: string | undefined;
}) {
  const shown = apart([...starts, minutes], minutes / 14);
  const text = (minute: number) =>
    begins ? clock(new Date(Date.parse(begins) + minute * 60_000).toISOString()) : String(minute);
  return (
    <Box sx={{ display: 'flex' }}>
      <Box sx={{ ...name, fontSize: 12, color: ink.inkSoft }}>{begins ? '' : 'minutes'}</Box>
      <Box sx={{ flex: 1, height: 20, position: 'relative' }}>
        {shown.map((minute) => (
          <Box
            key={minute}
            component="span"
            sx={{
              position: 'absolute',
              left: place(minute, minutes),
              transform: minute === minutes ? 'translateX(-100%)' : 'none',
              fontFamily: FIGURES,
              fontSize: 12,
              color: ink.inkSoft,
            }}
          >
            {text(minute)}
          </Box>
        ))}
      </Box>
    </Box>
  );
}

/** Of rising `values` those that stand at least `least` apart; the last always stays. */
export function apart(values: number[], least: number): number[] {
  const kept: number[] = [];
  for (const value of values) if (kept.every((other) => value - other >= least)) kept.push(value);
  const last = values.at(-1);
  if (last === undefined || kept.includes(last)) return kept;
  return [...kept.filter((value) => last - value >= 2 * least), last]; // the last stands left of its place
}
