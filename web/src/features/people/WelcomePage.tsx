import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { useNavigate, useParams } from 'react-router';
import { api, said, type Shapes } from '../../api/client';
import mark from '../../app/mark.svg';
import { Loaded } from '../../identity/Page';
import { Sheet } from '../../identity/Sheet';
import { ink } from '../../identity/tokens';
import { ZoneField, zoneHere } from './ZoneField';
import { NotDone } from '../../identity/NotDone';

/** Where a one-time link leads: the first instructor sets up the department, others their account or password. */
export function WelcomePage() {
  const { secret = '' } = useParams();
  const link = useQuery({
    queryKey: ['link', secret],
    retry: false,
    refetchOnWindowFocus: false,
    queryFn: () => said(api.GET('/api/links/{secret}', { params: { path: { secret } } })),
  });
  return (
    <Box component="main" sx={{ maxWidth: 560, mx: 'auto', px: 2.5, py: { xs: 3, md: 6 } }}>
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', mb: 3 }}>
        <img src={mark} width={48} height={48} alt="" />
        <Box component="h1" sx={{ m: 0, fontSize: 28, lineHeight: 1.15 }}>
          Welcome to Chromata
        </Box>
      </Box>
      <Loaded of={link}>{(opened) => <Follow link={opened} secret={secret} />}</Loaded>
    </Box>
  );
}

function whatFor(link: Shapes['LinkOpened']): string {
  if (link.sets_up)
    return 'You are the first. You set up the department, keep its accounts and invite the others.';
  if (link.name) return `${link.name} signs in as “${link.username}” and chooses a new password here.`;
  const where = link.section ? ` in ${link.section}` : link.department ? ` at ${link.department}` : '';
  return `You are invited as ${link.role}${where}. Choose how you sign in.`;
}

function Follow({ link, secret }: { link: Shapes['LinkOpened']; secret: string }) {
  const [form, setForm] = useState({
    name: '',
    username: '',
    password: '',
    department: '',
    time_zone: link.sets_up ? zoneHere() : '',
  });
  const queries = useQueryClient();
  const go = useNavigate();
  const follow = useMutation({
    mutationFn: () => said(api.POST('/api/links/{secret}', { params: { path: { secret } }, body: form })),
    onSuccess: (me) => {
      queries.clear();
      queries.setQueryData(['me'], me);
      void go(me.keeper ? '/department' : '/', { replace: true });
    },
  });
  const field = (key: keyof typeof form, label: string, more: object = {}) => (
    <TextField
      label={label}
      value={form[key]}
      required
      onChange={(event) => setForm({ ...form, [key]: event.target.value })}
      {...more}
    />
  );
  const submit = (event: FormEvent) => {
    event.preventDefault();
    follow.mutate();
  };
  return (
    <Sheet title={link.name ? 'A new password' : 'Your account'}>
      <Box component="form" onSubmit={submit} sx={{ display: 'grid', gap: 2 }}>
        <Box sx={{ color: ink.inkSoft }}>{whatFor(link)}</Box>
        {link.sets_up && field('department', 'Department', { autoFocus: true })}
        {link.sets_up && (
          <ZoneField value={form.time_zone} onChange={(time_zone) => setForm({ ...form, time_zone })} />
        )}
        {!link.name && field('name', 'Your name, as others read it', { autoComplete: 'name' })}
        {!link.name &&
          field('username', 'Name to sign in with', {
            autoComplete: 'username',
            helperText: 'Letters, digits and . - _ without spaces.',
          })}
        {field('password', 'Password', {
          type: 'password',
          autoComplete: 'new-password',
          helperText: 'Ten characters or more.',
        })}
        <Button type="submit" variant="contained" size="large" disabled={follow.isPending}>
          {link.sets_up ? 'Set up the department' : 'Sign in'}
        </Button>
        <NotDone lead="Not yet." error={follow.error} />
      </Box>
    </Sheet>
  );
}
