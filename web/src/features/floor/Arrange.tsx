import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { api, said, type Shapes } from '../../api/client';
import { FIGURES, ink } from '../../identity/tokens';
import { NotDone } from '../../identity/NotDone';

/** Where the benches stand, written as one sees them; kept for every session in this room. */
export function Arrange({ floor, onDone }: { floor: Shapes['Floor']; onDone: () => void }) {
  const [text, setText] = useState(floor.arrangement.text || inRows(floor.benches.length));
  const queries = useQueryClient();
  const keep = useMutation({
    mutationFn: () =>
      said(
        api.PUT('/api/sessions/{session_id}/room', {
          params: { path: { session_id: floor.session.id } },
          body: { text },
        }),
      ),
    onSuccess: async () => {
      await queries.invalidateQueries({ queryKey: ['floor', floor.session.id] });
      onDone();
    },
  });
  const submit = (event: FormEvent) => {
    event.preventDefault();
    keep.mutate();
  };
  return (
    <Box
      component="form"
      onSubmit={submit}
      sx={{
        display: 'grid',
        gap: 1,
        p: 2,
        mb: 2,
        bgcolor: ink.sheet,
        border: `1px solid ${ink.rule}`,
        borderRadius: 2,
      }}
    >
      <TextField
        label={`The benches of ${floor.session.room || 'this room'}, from the front`}
        multiline
        autoFocus
        minRows={3}
        value={text}
        onChange={(event) => setText(event.target.value)}
        helperText="A line for each row: numbers as they stand, a dot for a gap. It is kept for every session in this room."
        slotProps={{ htmlInput: { style: { fontFamily: FIGURES } } }}
      />
      <Box sx={{ display: 'flex', gap: 1 }}>
        <Button type="submit" variant="outlined" disabled={keep.isPending}>
          Keep
        </Button>
        <Button onClick={onDone}>Leave it</Button>
      </Box>
      <NotDone lead="Not kept." error={keep.error} />
    </Box>
  );
}

/** To begin with: as the floor shows them where nobody said how they stand. */
function inRows(benches: number): string {
  const wide = benches > 16 ? 8 : 4;
  const rows = Math.ceil(benches / wide);
  return Array.from({ length: rows }, (_, row) =>
    Array.from({ length: Math.min(wide, benches - row * wide) }, (_, at) => row * wide + at + 1).join(' '),
  ).join('\n');
}
