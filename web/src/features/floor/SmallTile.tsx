import Box from '@mui/material/Box';
import { Link } from 'react-router';
import type { Shapes } from '../../api/client';
import { Figure } from '../../identity/Figure';
import { HandIcon } from '../../identity/Icons';
import { ink } from '../../identity/tokens';
import { STATES } from '../../identity/Verdict';

interface Props {
  bench: Shapes['FloorBench'];
  colour: string;
  large: boolean;
  closed: boolean;
}

/** A bench of a large room: its number, its state by word and shape, what it does, its result. */
export function SmallTile({ bench, colour, large, closed }: Props) {
  const state = bench.call ? null : bench.level === 'keep' ? undefined : STATES[bench.level];
  const edge = state === null ? ink.repeat : (state?.colour ?? ink.rule);
  const Icon = state === null ? HandIcon : state?.Icon;
  return (
    <Box
      component={Link}
      to={closed ? `/benches/${bench.id}/report` : `/benches/${bench.id}`}
      title={bench.team.join(', ')}
      sx={{
        bgcolor: state === null ? ink.repeatWash : (state?.wash ?? ink.sheet),
        border: `1px solid ${edge}`,
        borderRadius: 1.5,
        p: 0.75,
        color: ink.ink,
        textDecoration: 'none',
        display: 'grid',
        gridTemplateRows: 'auto 1fr auto auto',
        minHeight: 96,
        minWidth: 0,
        '&:hover': { borderColor: ink.link },
      }}
    >
      <Box sx={{ display: 'flex', justifyContent: 'space-between', alignItems: 'center', minHeight: 26 }}>
        <Box sx={{ fontWeight: 700, fontSize: large ? 24 : 19, lineHeight: 1 }}>
          <Box
            component="span"
            sx={{ position: 'absolute', width: 1, height: 1, overflow: 'hidden', clipPath: 'inset(50%)' }}
          >
            Bench{' '}
          </Box>
          {bench.number}
        </Box>
        {Icon && (
          <Box
            sx={{
              display: 'flex',
              alignItems: 'center',
              gap: 0.25,
              color: edge,
              fontSize: 12,
              fontWeight: 700,
            }}
          >
            <Icon sx={{ fontSize: 16 }} />
            {state === null ? 'Calls' : state?.word.split(' ')[0]}
          </Box>
        )}
      </Box>
      <Box
        sx={{
          fontSize: large ? 14 : 12,
          lineHeight: 1.2,
          color: ink.inkSoft,
          overflow: 'hidden',
          maxHeight: '2.4em',
        }}
      >
        {bench.doing}
      </Box>
      <Box
        sx={{
          fontSize: large ? 18 : 14.5,
          fontWeight: 700,
          minHeight: 20,
          whiteSpace: 'nowrap',
          overflow: 'hidden',
        }}
      >
        {bench.result && <Figure text={bench.result.text} doubtful={bench.result.doubtful} unit="" />}
      </Box>
      <Box aria-hidden sx={{ height: 4, borderRadius: 2, bgcolor: ink.ruleSoft, overflow: 'hidden' }}>
        <Box sx={{ height: '100%', width: `${bench.progress * 100}%`, bgcolor: colour }} />
      </Box>
    </Box>
  );
}
