import Box from '@mui/material/Box';
import type { Shapes } from '../api/client';
import { FIGURES, ink } from '../identity/tokens';

interface Props {
  timetable: Shapes['Timetable'];
  colour: string;
}

const NAME = 118; // px for the names of the lanes

/** Turns at shared equipment: a lane for each piece, minutes from left to right, bench numbers in the turns. */
export function Lanes({ timetable, colour }: Props) {
  const { minutes, lanes } = timetable;
  const starts = [...new Set(lanes.flatMap((lane) => lane.turns.map((turn) => turn.start)))].sort(
    (a, b) => a - b,
  );
  const place = (minute: number) => `${(100 * minute) / minutes}%`;
  return (
    <Box component="figure" sx={{ m: 0 }}>
      <Box sx={{ overflowX: 'auto' }}>
        <Box sx={{ minWidth: NAME + 74 * starts.length }}>
          <Box sx={{ fontSize: 12, color: ink.inkSoft, height: 0 }}>minutes</Box>
          <Box sx={{ ml: `${NAME}px`, height: 20, position: 'relative' }}>
            {[...starts, minutes].map((minute) => (
              <Box
                key={minute}
                component="span"
                sx={{
                  position: 'absolute',
                  left: place(minute),
                  transform: minute === minutes ? 'translateX(-100%)' : 'none',
                  fontFamily: FIGURES,
                  fontSize: 12,
                  color: ink.inkSoft,
                }}
              >
                {minute}
              </Box>
            ))}
          </Box>
          {lanes.map((lane) => (
            <Box key={lane.label} sx={{ display: 'flex', alignItems: 'stretch', mb: 0.5 }}>
              <Box sx={{ width: NAME, flexShrink: 0, fontSize: 13.5, alignSelf: 'center', pr: 1 }}>
                {lane.label}
              </Box>
              <Box
                sx={{ position: 'relative', flex: 1, minHeight: 46, bgcolor: ink.ground, borderRadius: 1 }}
              >
                {lane.turns.map((turn) => (
                  <Box
                    key={turn.start}
                    sx={{
                      position: 'absolute',
                      inset: '2px auto 2px',
                      left: place(turn.start),
                      width: place(turn.end - turn.start),
                      px: '1px',
                    }}
                  >
                    <Box sx={{ ...block(lane.label, turn.benches.length, colour), height: '100%' }}>
                      {turn.label && <Box sx={{ fontWeight: 700, lineHeight: 1.2 }}>{turn.label}</Box>}
                      <Box sx={{ fontFamily: FIGURES, lineHeight: 1.25 }}>{runs(turn.benches)}</Box>
                    </Box>
                  </Box>
                ))}
              </Box>
            </Box>
          ))}
        </Box>
      </Box>
      <Box component="figcaption" sx={{ fontSize: 13.5, color: ink.inkSoft, mt: 0.5 }}>
        {timetable.sentence} {timetable.meanwhile && `Meanwhile: ${timetable.meanwhile}`}
      </Box>
    </Box>
  );
}

/** In use: the accent; being set anew or waiting: only an outline. */
const block = (lane: string, benches: number, colour: string) => ({
  borderRadius: 1,
  px: 0.75,
  fontSize: 12.5,
  display: 'grid',
  alignContent: 'center',
  overflow: 'hidden',
  color: ink.ink,
  bgcolor: ink.sheet,
  border:
    lane === 'Waiting' || benches === 0
      ? `1.5px dashed ${ink.rule}`
      : `1px solid color-mix(in srgb, ${colour} 50%, ${ink.rule})`,
  boxShadow: lane === 'Waiting' || benches === 0 ? 'none' : `inset 4px 0 0 ${colour}`,
});

/** Bench numbers, neighbours joined: 1–4, 7. */
export function runs(benches: number[]): string {
  const parts: [number, number][] = [];
  for (const bench of benches) {
    const last = parts.at(-1);
    if (last && last[1] === bench - 1) last[1] = bench;
    else parts.push([bench, bench]);
  }
  return parts.map(([from, to]) => (from === to ? `${from}` : `${from}–${to}`)).join(', ');
}
