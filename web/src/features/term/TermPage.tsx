import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { Link } from 'react-router';
import type { Shapes } from '../../api/client';
import { useSessions } from '../../api/hooks';
import { counted } from '../../identity/counted';
import { TriangleIcon } from '../../identity/Icons';
import { Loaded, Page } from '../../identity/Page';
import { SheetLink } from '../../identity/SheetLink';
import { Simulated } from '../../sessions/Simulated';
import { dotted } from '../../identity/dotted';
import { day } from '../../time/time';
import { accent, ink } from '../../identity/tokens';

type Card = Shapes['SessionLine'];

/** The instructor's home: sessions in time order, the running one first at hand. */
export function TermPage({ me }: { me: Shapes['Me'] }) {
  const sessions = useSessions();
  return (
    <Page>
      <Loaded of={sessions}>{(all) => <Term sessions={all} plans={me.role === 'instructor'} />}</Loaded>
    </Page>
  );
}

function Term({ sessions, plans }: { sessions: Card[]; plans: boolean }) {
  const running = sessions.filter((session) => session.state === 'open');
  const next = sessions.filter((session) => session.state === 'planned');
  const past = sessions.filter((session) => ['closed', 'cancelled'].includes(session.state)).reverse();
  return (
    <Box sx={{ display: 'grid', gap: 4 }}>
      <Box
        sx={{
          display: 'flex',
          justifyContent: 'space-between',
          alignItems: 'center',
          gap: 2,
          flexWrap: 'wrap',
        }}
      >
        <Box component="h1" sx={{ m: 0, fontSize: 28 }}>
          {running.length > 0 ? 'Running now' : 'Nothing is running'}
        </Box>
        {plans && (
          <Button variant="contained" component={Link} to="/plan">
            Plan a session
          </Button>
        )}
      </Box>
      {running.map((session) => (
        <Running key={session.id} session={session} />
      ))}
      <Group title="Next" sessions={next} empty="No session is planned." />
      <Group title="Before" sessions={past} empty="No session has been held yet." />
    </Box>
  );
}

function Running({ session }: { session: Card }) {
  return (
    <Box
      sx={{
        ...sheet(session),
        p: 3,
        display: 'flex',
        gap: 3,
        alignItems: 'center',
        justifyContent: 'space-between',
        flexWrap: 'wrap',
      }}
    >
      <Box>
        <Box sx={{ fontSize: 24, fontWeight: 700, lineHeight: 1.2 }}>{session.title}</Box>
        <Box sx={{ color: ink.inkSoft, mt: 0.5 }}>
          {dotted(
            session.section,
            session.room,
            `since ${day(session.starts_at)}`,
            `${counted(session.benches, 'bench', 'benches')}, ${counted(session.students, 'student')}`,
          )}
        </Box>
      </Box>
      <Button
        variant="contained"
        size="large"
        component={Link}
        to={`/sessions/${session.id}/floor`}
        sx={{ minHeight: 56, fontSize: 18, px: 4 }}
      >
        Go to the floor
      </Button>
    </Box>
  );
}

function Group({ title, sessions, empty }: { title: string; sessions: Card[]; empty: string }) {
  return (
    <Box component="section">
      <Box component="h2" sx={{ m: 0, mb: 1.5, fontSize: 20 }}>
        {title}
      </Box>
      <Box sx={{ display: 'grid', gap: 1.5 }}>
        {sessions.map((session) => (
          <Line key={session.id} session={session} />
        ))}
        {sessions.length === 0 && <Box sx={{ color: ink.inkSoft }}>{empty}</Box>}
      </Box>
    </Box>
  );
}

function Line({ session }: { session: Card }) {
  return (
    <SheetLink
      to={session.state === 'closed' ? `/sessions/${session.id}/floor` : `/sessions/${session.id}`}
      sx={{
        boxShadow: `inset 6px 0 0 ${accent(session.family)}`,
        display: 'grid',
        gridTemplateColumns: { xs: '1fr', md: '170px 1fr auto' },
        gap: { xs: 0.5, md: 2 },
        alignItems: 'center',
      }}
    >
      <Box sx={{ color: ink.inkSoft }}>{day(session.starts_at)}</Box>
      <Box>
        <Box sx={{ fontWeight: 700, fontSize: 17 }}>{session.title}</Box>
        <Box sx={{ color: ink.inkSoft, fontSize: 14 }}>
          {dotted(
            session.method_title,
            session.section,
            session.room,
            counted(session.benches, 'bench', 'benches'),
          )}
        </Box>
      </Box>
      <Standing session={session} />
    </SheetLink>
  );
}

const sheet = (session: Card) => ({
  bgcolor: ink.sheet,
  border: `1px solid ${ink.rule}`,
  boxShadow: `inset 6px 0 0 ${accent(session.family)}`,
  borderRadius: 2.5,
});

function Standing({ session }: { session: Card }) {
  return (
    <Box sx={{ display: 'grid', gap: 0.25 }}>
      {session.lacks.map((lack) => (
        <Box
          key={lack}
          sx={{ color: ink.look, fontSize: 14, display: 'flex', gap: 0.5, alignItems: 'center' }}
        >
          <TriangleIcon sx={{ fontSize: 16 }} /> {lack}
        </Box>
      ))}
      <Simulated how={session.simulated} />
      {session.state === 'cancelled' && <Box sx={{ color: ink.inkSoft, fontSize: 14 }}>cancelled</Box>}
      {session.state === 'closed' && (
        <Box sx={{ color: ink.inkSoft, fontSize: 14 }}>
          {session.released ? 'results released' : 'not released yet'}
        </Box>
      )}
    </Box>
  );
}
