import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useState, type FormEvent } from 'react';
import { type Shapes } from '../../api/client';
import { useSayToAll } from '../../api/hooks';
import { VerdictLine } from '../../identity/Verdict';
import { NotDone } from '../../identity/NotDone';

/** One word to the whole room; it stands at every bench until the next. */
export function ToAll({ floor }: { floor: Shapes['Floor'] }) {
  const [text, setText] = useState('');
  const [done, setDone] = useState('');
  const say = useSayToAll(floor.session.id);
  const submit = (event: FormEvent) => {
    event.preventDefault();
    setDone('');
    say.mutate(text.trim(), {
      onSuccess: () => {
        setDone(text.trim());
        setText('');
      },
    });
  };
  return (
    <Box component="form" onSubmit={submit} sx={{ mt: 2.5, mb: 2 }}>
      <Box component="h2" sx={{ m: 0, mb: 0.5, fontSize: 17 }}>
        Say it to the whole room
      </Box>
      <Box sx={{ display: 'flex', gap: 1 }}>
        <TextField
          size="small"
          fullWidth
          value={text}
          onChange={(event) => setText(event.target.value)}
          slotProps={{ htmlInput: { 'aria-label': 'Message to every bench', maxLength: 300 } }}
        />
        <Button
          type="submit"
          variant="outlined"
          sx={{ whiteSpace: 'nowrap' }}
          disabled={!text.trim() || say.isPending}
        >
          To all
        </Button>
      </Box>
      {done && (
        <VerdictLine level="keep" lead="At every bench:">
          “{done}”
        </VerdictLine>
      )}
      <NotDone lead="Not sent to all." error={say.error} />
    </Box>
  );
}
