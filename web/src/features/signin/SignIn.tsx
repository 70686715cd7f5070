import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { api, said, type Shapes } from '../../api/client';
import { useDepartment } from '../../api/hooks';
import mark from '../../app/mark.svg';
import { keepAnswer } from '../../api/answered';
import { Sheet } from '../../identity/Sheet';
import { FIGURES, ink } from '../../identity/tokens';
import { VerdictLine } from '../../identity/Verdict';
import { WaitingOfOthers } from '../../queue/Waiting';
import { NotDone } from '../../identity/NotDone';

function useEnter() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (call: () => Promise<Shapes['Me']>) => call(),
    onSuccess: async (me) => {
      window.history.replaceState(null, '', '/');
      await keepAnswer(queries, ['me'], me);
    },
  });
}

function Banner({ below }: { below: string }) {
  return (
    <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', mb: 4 }}>
      <img src={mark} width={56} height={56} alt="" />
      <Box>
        <Box component="h1" sx={{ m: 0, fontSize: 34, lineHeight: 1.1 }}>
          Chromata
        </Box>
        <Box sx={{ color: ink.inkSoft, fontSize: 17 }}>{below}</Box>
      </Box>
    </Box>
  );
}

/** Students join by section code, name and PIN; staff sign in; the demo offers ready accounts. */
export function SignIn() {
  const department = useDepartment().data;
  const demo = useQuery({ queryKey: ['demo'], queryFn: () => said(api.GET('/api/demo-accounts')) });
  return (
    <Box component="main" sx={{ maxWidth: 980, mx: 'auto', px: 2.5, py: { xs: 3, md: 7 } }}>
      <Banner below={department?.name || 'A laboratory session that thinks along.'} />
      <Box
        sx={{
          display: 'grid',
          gap: 3,
          gridTemplateColumns: { xs: '1fr', md: '1.15fr 1fr' },
          alignItems: 'start',
        }}
      >
        <Box sx={{ display: 'grid', gap: 1.5 }}>
          <Join />
          <WaitingOfOthers />
        </Box>
        <Box sx={{ display: 'grid', gap: 3 }}>
          {department && !department.name && !department.demo && (
            <VerdictLine level="look" lead="Not set up yet.">
              Open the one-time link that the server printed when it was started.
            </VerdictLine>
          )}
          <Staff />
          {demo.data && demo.data.length > 0 && <Demo accounts={demo.data} />}
        </Box>
      </Box>
    </Box>
  );
}

/** A slip's QR code leads to /join/AMBER7. */
const codeInAddress = () => /^\/join\/([\w-]{1,12})$/.exec(window.location.pathname)?.[1] ?? '';

function Join() {
  const [code, setCode] = useState(codeInAddress);
  const [person, setPerson] = useState('');
  const [pin, setPin] = useState('');
  const enter = useEnter();
  const roster = useMutation({
    mutationFn: () => said(api.GET('/api/join/{code}', { params: { path: { code: code.trim() } } })),
  });
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (!roster.data) roster.mutate();
    else
      enter.mutate(() =>
        said(api.POST('/api/join', { body: { code: code.trim(), person: Number(person), pin } })),
      );
  };
  return (
    <Sheet title="Join your section">
      <Box component="form" onSubmit={submit} sx={{ display: 'grid', gap: 2 }}>
        <TextField
          label="Section code"
          value={code}
          autoFocus
          required
          onChange={(event) => {
            setCode(event.target.value);
            roster.reset();
          }}
          slotProps={{
            htmlInput: {
              style: { fontFamily: FIGURES, fontSize: 26, letterSpacing: 2, textTransform: 'uppercase' },
              maxLength: 20,
            },
          }}
          helperText="It stands on the board."
        />
        {roster.data && (
          <>
            <Box sx={{ fontWeight: 700 }}>{roster.data.section}</Box>
            <TextField
              select
              label="Your name"
              value={person}
              required
              onChange={(event) => setPerson(event.target.value)}
            >
              {roster.data.names.map((listed) => (
                <MenuItem key={listed.id} value={String(listed.id)}>
                  {listed.name}
                </MenuItem>
              ))}
            </TextField>
            <TextField
              label="PIN"
              type="password"
              inputMode="numeric"
              value={pin}
              required
              onChange={(event) => setPin(event.target.value)}
              autoComplete="off"
            />
          </>
        )}
        <Button type="submit" variant="contained" size="large" disabled={enter.isPending || roster.isPending}>
          {roster.data ? 'Go to my bench' : 'Find my section'}
        </Button>
        <NotDone lead="Not yet." error={roster.error ?? enter.error} />
      </Box>
    </Sheet>
  );
}

function Staff() {
  const [username, setUsername] = useState('');
  const [password, setPassword] = useState('');
  const enter = useEnter();
  const submit = (event: FormEvent) => {
    event.preventDefault();
    enter.mutate(() => said(api.POST('/api/sign-in', { body: { username, password } })));
  };
  return (
    <Sheet title="Instructors and assistants">
      <Box component="form" onSubmit={submit} sx={{ display: 'grid', gap: 2 }}>
        <TextField
          label="Name"
          value={username}
          required
          onChange={(event) => setUsername(event.target.value)}
          autoComplete="username"
        />
        <TextField
          label="Password"
          type="password"
          value={password}
          required
          onChange={(event) => setPassword(event.target.value)}
          autoComplete="current-password"
        />
        <Button type="submit" variant="outlined" disabled={enter.isPending}>
          Sign in
        </Button>
        <NotDone lead="Not yet." error={enter.error} />
      </Box>
    </Sheet>
  );
}

function Demo({ accounts }: { accounts: Shapes['DemoAccount'][] }) {
  const enter = useEnter();
  return (
    <Sheet title="Try the demo">
      <Box sx={{ display: 'grid', gap: 1 }}>
        {accounts.map(({ username, name, role, says, password }) => (
          <Button
            key={username}
            variant="outlined"
            sx={{ justifyContent: 'flex-start', textAlign: 'left', py: 1 }}
            onClick={() =>
              enter.mutate(() => said(api.POST('/api/sign-in', { body: { username, password } })))
            }
          >
            <span>
              {name}, {role}
              <Box
                component="span"
                sx={{ display: 'block', fontWeight: 400, fontSize: 13.5, color: ink.inkSoft }}
              >
                {says}
              </Box>
            </span>
          </Button>
        ))}
        <NotDone lead="Not yet." error={enter.error} />
      </Box>
    </Sheet>
  );
}
