import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { api, said, type Shapes } from '../../api/client';
import { clock } from '../../time/time';
import { FIGURES, ink } from '../../identity/tokens';
import { NotDone } from '../../identity/NotDone';

function usePost(session: number) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (body: Shapes['BoardRequest']) =>
      said(api.POST('/api/sessions/{session_id}/board', { params: { path: { session_id: session } }, body })),
    onSuccess: () => queries.invalidateQueries({ queryKey: ['floor', session] }),
  });
}

/** What one person reads for the whole room: written once, it stands at every bench. */
export function Board({ floor }: { floor: Shapes['Floor'] }) {
  if (floor.board.length === 0 || floor.session.state !== 'open') return null;
  return (
    <Box component="section" sx={{ mb: 2 }}>
      <Box component="h2" sx={{ m: 0, mb: 0.5, fontSize: 17 }}>
        Written once for the room
      </Box>
      {floor.board.map((line) => (
        <Line key={line.key} line={line} session={floor.session.id} />
      ))}
    </Box>
  );
}

function posted({ text, author, at, planned, unit }: Shapes['BoardLine']) {
  if (text) return `${author}, ${clock(at)}`;
  return planned ? `As planned: ${planned} ${unit}` : 'Not written yet: each bench reads for itself.';
}

function Line({ line, session }: { line: Shapes['BoardLine']; session: number }) {
  const [text, setText] = useState('');
  const post = usePost(session);
  const submit = (event: FormEvent) => {
    event.preventDefault();
    post.mutate({ key: line.key, text }, { onSuccess: () => setText('') });
  };
  return (
    <Box component="form" onSubmit={submit} sx={{ py: 0.75, borderBottom: `1px solid ${ink.ruleSoft}` }}>
      <Box sx={{ display: 'flex', justifyContent: 'space-between', gap: 1 }}>
        <span>{line.label}</span>
        <span style={{ fontFamily: FIGURES }}>{line.text ? `${line.text} ${line.unit}` : ''}</span>
      </Box>
      <Box sx={{ color: ink.inkSoft, fontSize: 13.5 }}>
        {posted(line)}
        {line.own.length > 0 &&
          ` Own reading at ${line.own.length === 1 ? 'bench' : 'benches'} ${line.own.join(', ')}.`}
      </Box>
      <Box sx={{ display: 'flex', gap: 1, mt: 0.5 }}>
        <TextField
          size="small"
          fullWidth
          value={text}
          onChange={(event) => setText(event.target.value)}
          slotProps={{
            htmlInput: {
              'aria-label': `${line.label}, ${line.unit}, for the room`,
              maxLength: 40,
              style: { fontFamily: FIGURES },
            },
          }}
        />
        <Button type="submit" variant="outlined" disabled={!text.trim() || post.isPending}>
          {line.text ? 'Correct' : 'Write'}
        </Button>
      </Box>
      <NotDone lead="Not written." error={post.error} />
    </Box>
  );
}
