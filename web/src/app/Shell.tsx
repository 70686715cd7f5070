import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import useMediaQuery from '@mui/material/useMediaQuery';
import { useQueryClient } from '@tanstack/react-query';
import { lazy, Suspense, useState, type ReactNode } from 'react';
import { Link, NavLink } from 'react-router';
import { api, said, type Shapes } from '../api/client';
import { ink } from '../identity/tokens';
import { VerdictLine } from '../identity/Verdict';
import { forgetWhatWasSeen } from '../queue/seen';
import { useWaiting } from '../queue/Waiting';
import mark from './mark.svg';

const PlacesMenu = lazy(async () => ({ default: (await import('./PlacesMenu')).PlacesMenu }));

const PLACES = {
  instructor: [
    ['/', 'Term'],
    ['/sections', 'Sections'],
    ['/methods', 'Method book'],
    ['/plan', 'Plan a session'],
    ['/week', 'Week'],
    ['/stock', 'Stockroom'],
    ['/desk', 'Desk'],
    ['/department', 'Department'],
  ],
  assistant: [
    ['/', 'Term'],
    ['/sections', 'Sections'],
    ['/methods', 'Method book'],
    ['/week', 'Week'],
    ['/stock', 'Stockroom'],
    ['/desk', 'Desk'],
  ],
  student: [
    ['/', 'My bench'],
    ['/before', 'Before class'],
    ['/practice', 'Practice'],
    ['/methods', 'Method book'],
  ],
} as const;

/** The line at the top of every view but the bench. */
export function Shell({ me, children }: { me: Shapes['Me']; children: ReactNode }) {
  const queries = useQueryClient();
  const [sure, setSure] = useState(false);
  const phone = useMediaQuery('(max-width: 699px)');
  const places = PLACES[me.role ?? 'student'];
  const unsent = useWaiting().data?.find((sender) => sender.id === me.id)?.count ?? 0;
  const leave = async () => {
    if (unsent > 0 && !sure) {
      setSure(true);
      return;
    }
    await said(api.POST('/api/sign-out'));
    queries.clear();
    await forgetWhatWasSeen();
    window.location.assign('/');
  };
  return (
    <Box sx={{ minHeight: '100dvh', display: 'flex', flexDirection: 'column' }}>
      <Box
        component="header"
        sx={{
          display: 'flex',
          alignItems: 'center',
          gap: { xs: 0.5, md: 1.5 },
          px: { xs: 1.5, md: 2.5 },
          minHeight: 54,
          bgcolor: ink.sheet,
          borderBottom: `1px solid ${ink.ruleSoft}`,
          flexWrap: { xs: 'nowrap', md: 'wrap' },
        }}
      >
        <Box
          component={Link}
          to="/"
          sx={{
            display: 'flex',
            alignItems: 'center',
            gap: 1,
            color: ink.ink,
            textDecoration: 'none',
            fontWeight: 700,
            fontSize: 18,
            mr: 1,
          }}
        >
          <img src={mark} width={30} height={30} alt="" /> Chromata
        </Box>
        {phone ? (
          <Suspense fallback={<Box sx={{ flex: 1 }} />}>
            <PlacesMenu places={places} />
          </Suspense>
        ) : (
          <PlacesLine places={places} />
        )}
        <Box sx={{ color: ink.inkSoft, fontSize: 14, minWidth: 0, textAlign: 'right', lineHeight: 1.2 }}>
          {me.name}
        </Box>
        <Button onClick={() => void leave()} sx={{ flexShrink: 0 }}>
          Sign out
        </Button>
      </Box>
      {sure && (
        <Box sx={{ px: 2.5, py: 1, display: 'flex', gap: 1.5, alignItems: 'center', flexWrap: 'wrap' }}>
          <VerdictLine level="look" lead="Not everything was sent.">
            {unsent === 1 ? 'One entry stays' : `${unsent} entries stay`} on this device until you sign in
            here again.
          </VerdictLine>
          <Button variant="outlined" onClick={() => setSure(false)}>
            Stay
          </Button>
          <Button onClick={() => void leave()}>Sign out all the same</Button>
        </Box>
      )}
      {children}
    </Box>
  );
}

type Places = (typeof PLACES)[keyof typeof PLACES];

function PlacesLine({ places }: { places: Places }) {
  return (
    <Box component="nav" aria-label="Views" sx={{ display: 'flex', flex: 1, flexWrap: 'wrap' }}>
      {places.map(([to, name]) => (
        <Button
          key={to}
          component={NavLink}
          to={to}
          end={to === '/'}
          sx={{
            color: ink.ink,
            fontWeight: 400,
            borderRadius: 0,
            px: 1.25,
            '&.active': { fontWeight: 700, boxShadow: `inset 0 -3px ${ink.link}` },
          }}
        >
          {name}
        </Button>
      ))}
    </Box>
  );
}
