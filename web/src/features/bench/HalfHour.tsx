import Box from '@mui/material/Box';
import { clock } from '../../time/time';
import { FIGURES, ink } from '../../identity/tokens';
import { useNow } from '../../time/useNow';
import type { Draft } from '../../queue/store';
import { SPAN, halfHour, named, type Ahead } from './halfHour';
import type { Bench } from './hand';

const ROWS = 6;
const TICKS = [0, 10, 20, 30];
const GRID = {
  display: 'grid',
  gridTemplateColumns: 'minmax(0, 5fr) minmax(0, 6fr)',
  columnGap: 1.5,
} as const;
const share = (minutes: number) => `${(Math.min(minutes, SPAN) / SPAN) * 100}%`;

/** The bench's own next half hour: where hands are needed, what goes on by itself, and what can be done in it. */
export function HalfHour({ bench, pending, colour }: { bench: Bench; pending: Draft[]; colour: string }) {
  const now = useNow(15_000);
  const ahead = halfHour(bench.evaluation.steps, pending, now).slice(0, ROWS);
  if (ahead.length === 0) return null;
  return (
    <Box component="section" aria-label="The next half hour" sx={{ mt: 4, maxWidth: 560, fontSize: 13 }}>
      <Box sx={{ ...GRID, color: ink.inkSoft }}>
        <span>The next half hour, about</span>
        <Box sx={{ position: 'relative', height: 18 }}>
          {TICKS.map((minutes) => (
            <Box
              key={minutes}
              sx={{
                position: 'absolute',
                left: share(minutes),
                transform: `translateX(${minutes === 0 ? 0 : minutes === SPAN ? -100 : -50}%)`,
                fontFamily: FIGURES,
                fontSize: 12,
              }}
            >
              {clock(now + minutes * 60_000)}
            </Box>
          ))}
        </Box>
      </Box>
      {ahead.map((row) => (
        <Row key={`${row.step.key} ${row.step.trial} ${row.step.turn}`} row={row} colour={colour} />
      ))}
    </Box>
  );
}

function Row({ row, colour }: { row: Ahead; colour: string }) {
  const { step, from, hands, wait, meanwhile } = row;
  return (
    <Box sx={{ ...GRID, alignItems: 'center', minHeight: 26, borderTop: `1px solid ${ink.ruleSoft}` }}>
      <Box sx={{ lineHeight: 1.25, py: 0.25, fontWeight: step.state === 'now' ? 700 : 400 }}>
        {named(step)}
        {meanwhile && (
          <Box sx={{ color: ink.inkSoft, fontWeight: 400 }}>meanwhile: {meanwhile.toLowerCase()}</Box>
        )}
      </Box>
      <Box
        role="img"
        aria-label={said(row)}
        title={said(row)}
        sx={{ position: 'relative', height: 14, overflow: 'hidden' }}
      >
        <Bar from={from} minutes={hands} look={{ bgcolor: colour }} />
        <Bar
          from={from + hands}
          minutes={wait}
          look={{
            border: `1.5px solid ${colour}`,
            background: `repeating-linear-gradient(135deg, ${colour} 0 1.5px, transparent 1.5px 6px)`,
          }}
        />
      </Box>
    </Box>
  );
}

function Bar({ from, minutes, look }: { from: number; minutes: number; look: object }) {
  if (minutes <= 0) return null;
  return (
    <Box
      sx={{
        position: 'absolute',
        top: 0,
        height: '100%',
        boxSizing: 'border-box',
        left: share(from),
        width: `max(4px, ${share(minutes)})`,
        borderRadius: 0.5,
        ...look,
      }}
    />
  );
}

/** “in about 6 min, 3 min; 10 min by itself”. */
function said({ from, hands, wait }: Ahead): string {
  const starts = from < 0.5 ? 'now' : `in about ${Math.round(from)} min`;
  const work = hands > 0 ? `, ${Math.max(Math.round(hands), 1)} min` : '';
  return `${starts}${work}${wait > 0 ? `; ${Math.ceil(wait)} min by itself` : ''}`;
}
