import Box from '@mui/material/Box';
import { Link } from 'react-router';
import { ink } from '../../identity/tokens';
import type { Bench } from './hand';

interface TabOf {
  bench: number;
  label: string;
  /** How far it is, 0 to 1, where that is told. */
  progress?: number;
}

/** What else stands at this place, each with a record of its own: parts of one piece of work, and samples. */
export function PlaceTabs({ bench, colour }: { bench: Bench; colour: string }) {
  const parts = bench.together.map((part, n) => ({ bench: part.bench, label: `${n + 1} · ${part.title}` }));
  return (
    <>
      <Tabs name="Parts" tabs={parts} here={bench.id} colour={colour} />
      <Tabs name="Samples" tabs={bench.samples} here={bench.id} colour={colour} />
    </>
  );
}

function Tabs({ name, tabs, here, colour }: { name: string; tabs: TabOf[]; here: number; colour: string }) {
  if (tabs.length === 0) return null;
  return (
    <Box
      component="nav"
      aria-label={name}
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
      {tabs.map((tab) => (
        <Tab key={tab.bench} tab={tab} here={tab.bench === here} colour={colour} />
      ))}
    </Box>
  );
}

function Tab({ tab, here, colour }: { tab: TabOf; here: boolean; colour: string }) {
  return (
    <Box
      component={Link}
      to={`/benches/${tab.bench}`}
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
      {tab.label}
      {tab.progress !== undefined && <Progress done={tab.progress} colour={colour} />}
    </Box>
  );
}

function Progress({ done, colour }: { done: number; colour: string }) {
  return (
    <Box
      role="img"
      aria-label={`${Math.round(done * 100)} % done`}
      sx={{ height: 4, borderRadius: 2, bgcolor: ink.ruleSoft, overflow: 'hidden' }}
    >
      <Box sx={{ height: '100%', width: `${done * 100}%`, bgcolor: colour }} />
    </Box>
  );
}
