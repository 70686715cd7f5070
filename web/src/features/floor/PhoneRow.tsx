import Box from '@mui/material/Box';
import { Link } from 'react-router';
import type { Shapes } from '../../api/client';
import { Figure } from '../../identity/Figure';
import { ink } from '../../identity/tokens';
import { CallTag, StateTag, STATES } from '../../identity/Verdict';

interface Props {
  bench: Shapes['FloorBench'];
  unit: string;
  closed: boolean;
}

/** A bench as one line of a phone: number, who, what they do, its result or its state. */
export function PhoneRow({ bench, unit, closed }: Props) {
  const { call, level, result } = bench;
  const edge = call ? ink.repeat : level === 'keep' ? ink.rule : STATES[level].colour;
  return (
    <Box
      component={Link}
      to={closed ? `/benches/${bench.id}/report` : `/benches/${bench.id}`}
      aria-label={`Bench ${bench.number}`}
      sx={{
        display: 'grid',
        gridTemplateColumns: '34px minmax(0, 1fr) auto',
        gap: 1,
        alignItems: 'center',
        minHeight: 62,
        px: 1.25,
        py: 0.75,
        bgcolor: ink.sheet,
        border: `1px solid ${edge}`,
        borderLeftWidth: 5,
        borderRadius: 2,
        color: ink.ink,
        textDecoration: 'none',
      }}
    >
      <Box sx={{ fontSize: 22, fontWeight: 700 }}>{bench.number}</Box>
      <Box sx={{ lineHeight: 1.25, fontSize: 14.5 }}>
        <Box sx={{ color: ink.inkSoft, fontSize: 13 }}>{bench.team.join(', ')}</Box>
        {bench.doing}
      </Box>
      <Box sx={{ display: 'grid', justifyItems: 'end', gap: 0.25 }}>
        {call ? <CallTag /> : level !== 'keep' && <StateTag level={level} />}
        {result && (
          <Box sx={{ fontWeight: 700, fontSize: 15, whiteSpace: 'nowrap' }}>
            <Figure text={result.text} doubtful={result.doubtful} unit={unit} />
          </Box>
        )}
      </Box>
    </Box>
  );
}
