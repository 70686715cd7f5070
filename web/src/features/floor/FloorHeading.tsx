import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { Link } from 'react-router';
import { type Shapes } from '../../api/client';
import { useMe, useMinutes, useSessionState } from '../../api/hooks';
import { Simulated } from '../../sessions/Simulated';
import { dotted } from '../../identity/dotted';
import { PartLinks } from '../../sessions/PartLinks';
import { clock, day } from '../../time/time';
import { accent, FIGURES, ink } from '../../identity/tokens';
import { NotDone } from '../../identity/NotDone';

interface Props {
  floor: Shapes['Floor'];
  now: number;
  projector: boolean;
  onProjector: () => void;
}

/** Which session it is, how long it still runs, and what its instructor can do with it. */
export function FloorHeading({ floor, now, projector, onProjector }: Props) {
  const { session } = floor;
  const me = useMe();
  const change = useSessionState(session.id);
  const mine = me.data?.role === 'instructor';
  return (
    <Box
      sx={{
        display: 'flex',
        alignItems: 'center',
        gap: 2,
        px: 2.5,
        py: 1,
        bgcolor: ink.sheet,
        borderBottom: `1px solid ${ink.ruleSoft}`,
        borderLeft: `6px solid ${accent(session.family)}`,
        flexWrap: 'wrap',
      }}
    >
      <Box sx={{ flex: 1, minWidth: 260 }}>
        <Box component="h1" sx={{ m: 0, fontSize: 20 }}>
          {session.title}
        </Box>
        <Box sx={{ color: ink.inkSoft, fontSize: 13.5 }}>
          <Simulated how={session.simulated} /> {dotted(session.section, session.room, floor.result_label)}
        </Box>
        <PartLinks parts={floor.together} here={session.id} to={(id) => `/sessions/${id}/floor`} />
      </Box>
      {session.state === 'open' && (
        <Box sx={{ color: ink.inkSoft, textAlign: 'right' }}>
          {timeLeft(session, now)}
          {floor.minutes_left > 0 && <Box>work for about {floor.minutes_left} min</Box>}
        </Box>
      )}
      {session.state === 'closed' && (
        <Box sx={{ color: ink.inkSoft }}>closed{session.released ? ', results released' : ''}</Box>
      )}
      <Box sx={{ fontFamily: FIGURES, fontSize: 20 }}>{clock(now)}</Box>
      <Button
        variant={projector ? 'contained' : 'outlined'}
        aria-pressed={projector}
        onClick={onProjector}
        sx={{ display: { xs: 'none', sm: 'inline-flex' } }}
      >
        Projector
      </Button>
      <Button component={Link} to={`/sessions/${session.id}/class`}>
        The class
      </Button>
      {mine && !session.released && session.state === 'closed' && (
        <Button variant="outlined" disabled={change.isPending} onClick={() => change.mutate('release')}>
          Release results
        </Button>
      )}
      {mine && session.released && (
        <Button variant="outlined" disabled={change.isPending} onClick={() => change.mutate('take_back')}>
          Take the release back
        </Button>
      )}
      {mine && session.state === 'open' && <Longer session={session} />}
      {mine && session.state === 'closed' && !session.released && (
        <Button disabled={change.isPending} onClick={() => change.mutate('reopen')}>
          Open it again
        </Button>
      )}
      {mine && session.state === 'open' && (
        <CloseSession busy={change.isPending} onClose={() => change.mutate('close')} />
      )}
      <NotDone lead="Not done." error={change.error} />
    </Box>
  );
}

/** A quarter of an hour more, where the room has it. */
function Longer({ session }: { session: Shapes['SessionCard'] }) {
  const minutes = useMinutes(session.id);
  return (
    <Button
      title="15 minutes more"
      disabled={minutes.isPending || session.minutes > 585}
      onClick={() => minutes.mutate(session.minutes + 15)}
    >
      +15 min
    </Button>
  );
}

/** “36 min left”, “4 min over”, or when it was meant to start. */
function timeLeft({ starts_at, minutes }: Shapes['SessionCard'], now: number): string {
  const starts = Date.parse(starts_at);
  if (now < starts) return `planned for ${day(starts_at)}`;
  const left = Math.round((starts + minutes * 60000 - now) / 60000);
  return left >= 0 ? `${left} min left` : `${-left} min over`;
}

/** Closing ends all writing, so it is asked twice. */
function CloseSession({ busy, onClose }: { busy: boolean; onClose: () => void }) {
  const [sure, setSure] = useState(false);
  if (!sure)
    return (
      <Button variant="outlined" onClick={() => setSure(true)}>
        Close session
      </Button>
    );
  return (
    <>
      <Button variant="contained" disabled={busy} onClick={onClose}>
        Close: no more readings
      </Button>
      <Button onClick={() => setSure(false)}>Go on</Button>
    </>
  );
}
