import Box from '@mui/material/Box';
import { Link } from 'react-router';
import type { Shapes } from '../../api/client';
import { BandLine } from '../../results/BandLine';
import { Figure } from '../../identity/Figure';
import { ago } from '../../time/time';
import { FIGURES, ink } from '../../identity/tokens';
import { CallTag, StateTag, STATES } from '../../identity/Verdict';

type Bench = Shapes['FloorBench'];

interface Props {
  bench: Bench;
  colour: string;
  unit: string;
  now: number;
  large: boolean;
  /** A closed session leads to reports, an open one to benches. */
  closed: boolean;
  /** Whether to name the sample: only where there are several. */
  sample: boolean;
}

/** A bench of the room: where it is, its result against the expected band, its trials, any call. */
export function Tile({ bench, colour, unit, now, large, closed, sample }: Props) {
  const edge = bench.call ? ink.repeat : bench.level === 'keep' ? ink.rule : STATES[bench.level].colour;
  return (
    <Box
      component={Link}
      to={closed ? `/benches/${bench.id}/report` : `/benches/${bench.id}`}
      sx={{
        bgcolor: ink.sheet,
        border: `1px solid ${edge}`,
        boxShadow: edge === ink.rule ? 'none' : `inset 0 0 0 1px ${edge}`,
        borderRadius: 2,
        p: 1.5,
        color: ink.ink,
        textDecoration: 'none',
        display: 'flex',
        flexDirection: 'column',
        gap: 0.5,
        minHeight: 196,
        '&:hover': { bgcolor: ink.ground },
      }}
    >
      <Box sx={{ display: 'flex', justifyContent: 'space-between', alignItems: 'center', minHeight: 24 }}>
        <Box sx={{ fontWeight: 700, fontSize: large ? 20 : 15.5 }}>Bench {bench.number}</Box>
        {bench.call ? <CallTag /> : bench.level !== 'keep' && <StateTag level={bench.level} />}
      </Box>
      <Box sx={{ color: ink.inkSoft, fontSize: 13.5, lineHeight: 1.3, minHeight: 35 }}>
        {bench.team.length > 0 && (
          <Box sx={{ overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap' }}>
            {bench.team.join(', ')}
          </Box>
        )}
        <Box sx={{ color: ink.ink, fontSize: large ? 16 : 13.5 }}>{bench.doing}</Box>
      </Box>
      <Box
        sx={{
          fontSize: large ? 28 : 21,
          fontWeight: 700,
          lineHeight: 1.2,
          display: 'flex',
          justifyContent: 'space-between',
          alignItems: 'baseline',
        }}
      >
        {bench.result ? (
          <Figure text={bench.result.text} doubtful={bench.result.doubtful} unit={unit} />
        ) : (
          <Box component="span" sx={{ color: ink.inkSoft, fontSize: 14, fontWeight: 400 }}>
            no result yet
          </Box>
        )}
      </Box>
      {bench.band && (
        <BandLine
          band={bench.band}
          value={bench.value}
          expanded={bench.expanded}
          colour={colour}
          says={standing(bench)}
        />
      )}
      <Trials bench={bench} />
      <Box sx={{ mt: 'auto', fontSize: 12.5, color: ink.inkSoft }}>
        <Samples bench={bench} />
        <When bench={bench} now={now} closed={closed} />
        {sample && bench.sample}
      </Box>
      <Box aria-hidden sx={{ height: 6, borderRadius: 3, bgcolor: ink.ruleSoft, overflow: 'hidden' }}>
        <Box
          sx={{ height: '100%', width: `${bench.progress * 100}%`, bgcolor: colour, transition: 'width .5s' }}
        />
      </Box>
    </Box>
  );
}

/** When something was written last, and how much is still before them. */
function When({ bench, now, closed }: Pick<Props, 'bench' | 'now' | 'closed'>) {
  return (
    <Box sx={{ display: 'flex', justifyContent: 'space-between', columnGap: 1, flexWrap: 'wrap' }}>
      <span title="The last entry">
        {bench.last_at ? `entry ${ago(bench.last_at, now)}` : 'nothing written yet'}
      </span>
      {!closed && bench.minutes_left > 0 && (
        <span title="Work that is still before them, about">{bench.minutes_left} min to go</span>
      )}
    </Box>
  );
}

function Trials({ bench }: { bench: Bench }) {
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 1.25, minHeight: 34 }}>
      {bench.trials.map((trial) => (
        <Box
          key={trial.name}
          sx={{ opacity: trial.state === 'counted' || trial.state === 'open' ? 1 : 0.75 }}
        >
          <Box sx={{ fontSize: 11.5, color: ink.inkSoft, lineHeight: 1.2 }}>{trial.name}</Box>
          <Box
            sx={{
              fontFamily: FIGURES,
              fontSize: 13,
              lineHeight: 1.3,
              textDecoration: trial.state === 'void' ? 'line-through' : 'none',
            }}
          >
            {trial.text}
          </Box>
        </Box>
      ))}
    </Box>
  );
}

/** How far a place is with each of its samples; the tile tells of the one in hand. */
function Samples({ bench }: { bench: Bench }) {
  const inHand = { color: ink.ink, fontWeight: 700 };
  return bench.samples.map((sample) => (
    <Box
      key={sample.bench}
      sx={{
        display: 'flex',
        justifyContent: 'space-between',
        gap: 1,
        ...(sample.bench === bench.id && inHand),
      }}
    >
      <span>{sample.label}</span>
      <span style={{ fontFamily: FIGURES }}>{Math.round(sample.progress * 100)} %</span>
    </Box>
  ));
}

function standing({ band, value }: Bench): string {
  if (!band || value === null) return 'Expected band; no result yet';
  if (value < band.low) return 'Below the expected band';
  return value > band.high ? 'Above the expected band' : 'Inside the expected band';
}
