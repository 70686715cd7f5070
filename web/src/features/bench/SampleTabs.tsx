import Box from '@mui/material/Box';
import { Link } from 'react-router';
import { ink } from '../../identity/tokens';
import type { Bench } from './hand';

/** The samples of this bench, one after the other: each has a record and a report of its own. */
export function SampleTabs({ bench, colour }: { bench: Bench; colour: string }) {
  if (bench.samples.length === 0) return null;
  return (
    <Box
      component="nav"
      aria-label="Samples"
      sx={{
        display: 'flex',
        overflowX: 'auto',
        gap: 0.5,
        px: { xs: 1.5, md: 2.5 },
        pt: 0.75,
        bgcolor: ink.ground,
        borderBottom: `1px solid ${ink.ruleSoft}`,
      }}
    >
      {bench.samples.map((one) => (
        <Tab key={one.bench} sample={one} here={one.bench === bench.id} colour={colour} />
      ))}
    </Box>
  );
}

function Tab({ sample, here, colour }: { sample: Bench['samples'][number]; here: boolean; colour: string }) {
  return (
    <Box
      component={Link}
      to={`/benches/${sample.bench}`}
      aria-current={here ? 'page' : undefined}
      sx={{
        display: 'grid',
        alignContent: 'center',
        gap: 0.5,
        minHeight: 44,
        minWidth: 110,
        px: 1.5,
        color: ink.ink,
        textDecoration: 'none',
        whiteSpace: 'nowrap',
        fontWeight: here ? 700 : 400,
        bgcolor: here ? ink.sheet : 'transparent',
        border: `1px solid ${here ? ink.rule : 'transparent'}`,
        borderBottom: 0,
        borderRadius: '8px 8px 0 0',
        '&:hover': { bgcolor: ink.sheet },
      }}
    >
      {sample.label}
      <Box
        role="img"
        aria-label={`${Math.round(sample.progress * 100)} % done`}
        sx={{ height: 4, borderRadius: 2, bgcolor: ink.ruleSoft, overflow: 'hidden' }}
      >
        <Box sx={{ height: '100%', width: `${sample.progress * 100}%`, bgcolor: colour }} />
      </Box>
    </Box>
  );
}
