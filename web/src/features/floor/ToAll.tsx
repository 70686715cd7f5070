import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useState, type FormEvent } from 'react';
import { sentence, type Shapes } from '../../api/client';
import { useWriteAt } from '../../api/hooks';
import { VerdictLine } from '../../identity/Verdict';

/** One word to the whole room; it stands at every bench until the next. */
export function ToAll({ floor }: { floor: Shapes['Floor'] }) {
  const [text, setText] = useState('');
  const [done, setDone] = useState('');
  const write = useWriteAt(floor.session.id);
  const send = async () => {
    setDone('');
    for (const { id } of floor.benches)
      await write.mutateAsync({ bench: id, said: [{ key: 'message', text: text.trim() }] });
    setDone(text.trim());
    setText('');
  };
  const submit = (event: FormEvent) => {
    event.preventDefault();
    send().catch(() => undefined); // its sentence stands below
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
          disabled={!text.trim() || write.isPending}
        >
          To all
        </Button>
      </Box>
      {done && (
        <VerdictLine level="keep" lead="At every bench:">
          “{done}”
        </VerdictLine>
      )}
      {write.error && (
        <VerdictLine level="look" lead="Not sent to all.">
          {sentence(write.error)}
        </VerdictLine>
      )}
    </Box>
  );
}
