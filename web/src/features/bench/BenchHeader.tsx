import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { Link } from 'react-router';
import mark from '../../app/mark.svg';
import { Simulated } from '../../sessions/Simulated';
import { CheckIcon, HandIcon, LoopIcon } from '../../identity/Icons';
import { dotted } from '../../identity/dotted';
import { clock } from '../../time/time';
import { FIGURES, ink } from '../../identity/tokens';
import { useNow } from '../../time/useNow';
import type { Outbox } from '../../queue/useOutbox';
import type { Bench } from './hand';

const BAR = {
  display: 'flex',
  alignItems: 'center',
  gap: { xs: 1, md: 2 },
  px: { xs: 1.5, md: 2.5 },
  minHeight: 54,
  bgcolor: ink.sheet,
  borderBottom: `1px solid ${ink.ruleSoft}`,
} as const;

/** Whose bench this is, whether everything is saved, the time, and the call for help. */
export function BenchHeader({ bench, outbox, onCall }: { bench: Bench; outbox: Outbox; onCall: () => void }) {
  const now = useNow(1000);
  return (
    <Box component="header" sx={BAR}>
      <Box component={Link} to="/" aria-label="Home" sx={{ display: 'flex' }}>
        <img src={mark} width={30} height={30} alt="" />
      </Box>
      <Box sx={{ fontWeight: 700, fontSize: 16, whiteSpace: 'nowrap' }}>Bench {bench.number}</Box>
      <Simulated how={bench.session.simulated} short />
      <Box
        sx={{
          color: ink.inkSoft,
          overflow: 'hidden',
          textOverflow: 'ellipsis',
          whiteSpace: 'nowrap',
          flex: 1,
          display: { xs: 'none', sm: 'block' },
        }}
      >
        {dotted(bench.team.join(', '), bench.session.title, bench.sample)}
      </Box>
      <Box sx={{ flex: 1, display: { sm: 'none' } }} />
      <Saved outbox={outbox} />
      <Box sx={{ fontFamily: FIGURES, fontSize: 18, display: { xs: 'none', sm: 'block' } }}>{clock(now)}</Box>
      <Button
        component={Link}
        to={`/benches/${bench.id}/report`}
        sx={{ px: 1, display: { xs: 'none', md: 'inline-flex' } }}
      >
        Report
      </Button>
      <Button
        variant="outlined"
        startIcon={<HandIcon />}
        onClick={onCall}
        sx={{ whiteSpace: 'nowrap', px: { xs: 1, md: 2 } }}
      >
        Help
      </Button>
    </Box>
  );
}

function Saved({ outbox }: { outbox: Outbox }) {
  const count = outbox.unsent + outbox.held.length;
  const saved = count === 0;
  const [colour, wash, Icon] = saved
    ? [ink.keep, ink.keepWash, CheckIcon]
    : [ink.look, ink.lookWash, LoopIcon];
  return (
    <Box
      role="status"
      sx={{
        display: 'flex',
        alignItems: 'center',
        gap: 0.5,
        px: 1.25,
        py: 0.25,
        borderRadius: 99,
        bgcolor: wash,
        color: colour,
        fontWeight: 700,
        fontSize: 13.5,
        whiteSpace: 'nowrap',
      }}
    >
      <Icon sx={{ fontSize: 16 }} />
      {saved ? 'All saved' : whereTheyAre(outbox, count)}
    </Box>
  );
}

function whereTheyAre({ held, trouble, online }: Outbox, count: number): string {
  if (!online) return `No network: ${count} kept here`;
  if (trouble || held.length > 0) return `Not sent: ${count} kept here`;
  return 'Sending…';
}
