import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { api, said } from '../../api/client';
import { Sheet } from '../../identity/Sheet';
import { ago } from '../../time/time';
import { FIGURES, ink } from '../../identity/tokens';
import { VerdictLine } from '../../identity/Verdict';
import { inTurn, keepAnswer, useKept } from '../../api/answered';
import { NotDone } from '../../identity/NotDone';

const KEY = ['tokens'];

function useTokens() {
  const queries = useQueryClient();
  return {
    all: useQuery({ queryKey: KEY, queryFn: () => said(api.GET('/api/tokens')) }).data ?? [],
    make: useMutation({
      scope: inTurn(KEY),
      mutationFn: (name: string) => said(api.POST('/api/tokens', { body: { name } })),
      onSuccess: (answer) => keepAnswer(queries, KEY, answer.tokens),
    }),
    end: useKept(KEY, (id: number) =>
      said(api.DELETE('/api/tokens/{token_id}', { params: { path: { token_id: id } } })),
    ),
  };
}

/** With what other programs read in one's name: made, told once, ended. */
export function Tokens() {
  const { all, make, end } = useTokens();
  const [name, setName] = useState('');
  const told = make.data && all.find((token) => token.id === make.data.tokens[0]?.id); // the newest stands first
  const submit = (event: FormEvent) => {
    event.preventDefault();
    make.mutate(name, { onSuccess: () => setName('') });
  };
  return (
    <Sheet title="Reading by other programs">
      <Box sx={{ color: ink.inkSoft, mb: 1 }}>
        A token reads what you may read, and changes nothing. It goes into the head of a request:
        “Authorization: Bearer …”.
      </Box>
      {all.map((token) => (
        <Box key={token.id} sx={LINE}>
          <Box sx={{ flex: 1 }}>
            {token.name}
            <Box sx={{ color: ink.inkSoft, fontSize: 13.5 }}>
              made {ago(token.made_at)}, {token.used_at ? `used ${ago(token.used_at)}` : 'never used'}
            </Box>
          </Box>
          <Button size="small" color="error" disabled={end.isPending} onClick={() => end.mutate(token.id)}>
            End it
          </Button>
        </Box>
      ))}
      {told && (
        <Box sx={{ mt: 1.5 }}>
          <VerdictLine level="keep" lead="Your token.">
            For “{told.name}”. It is not shown again; keep it like a password.
          </VerdictLine>
          <Box sx={{ fontFamily: FIGURES, overflowWrap: 'anywhere', my: 1, userSelect: 'all' }}>
            {make.data.secret}
          </Box>
        </Box>
      )}
      <NotDone lead="Not done." error={make.error ?? end.error} />
      <Box component="form" onSubmit={submit} sx={{ display: 'flex', gap: 1, mt: 1.5, alignItems: 'center' }}>
        <TextField
          label="What it is for"
          size="small"
          value={name}
          onChange={(event) => setName(event.target.value)}
          slotProps={{ htmlInput: { maxLength: 60 } }}
          sx={{ flex: 1 }}
        />
        <Button type="submit" variant="outlined" disabled={!name.trim() || make.isPending}>
          Make a token
        </Button>
      </Box>
    </Sheet>
  );
}

const LINE = {
  display: 'flex',
  gap: 1,
  alignItems: 'center',
  borderBottom: `1px solid ${ink.ruleSoft}`,
  py: 0.75,
} as const;
