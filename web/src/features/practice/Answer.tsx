import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useState, type FormEvent } from 'react';
import { FIGURES } from '../../identity/tokens';
import type { useDrill } from './usePractice';
import { Verdict } from './Verdict';

interface Props {
  drill: Pick<ReturnType<typeof useDrill>, 'judge' | 'next'>;
  label: string;
  button: string;
  /** A plain number: a phone shows its digits alone. */
  digits?: boolean;
}

/** An answer typed, what came of it, and the next task. */
export function Answer({ drill, label, button, digits = false }: Props) {
  const { judge, next } = drill;
  const [text, setText] = useState('');
  const submit = (event: FormEvent) => {
    event.preventDefault();
    judge.mutate(text);
  };
  const again = () => {
    setText('');
    next();
  };
  return (
    <Box component="form" onSubmit={submit} sx={{ display: 'grid', gap: 2, maxWidth: 460 }}>
      <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center' }}>
        <TextField
          label={label}
          value={text}
          autoFocus
          onChange={(event) => setText(event.target.value)}
          slotProps={{
            htmlInput: {
              inputMode: digits ? 'decimal' : 'text',
              style: { fontFamily: FIGURES, fontSize: 22 },
            },
          }}
        />
        <Button type="submit" variant="outlined" disabled={!text.trim() || judge.isPending}>
          {button}
        </Button>
      </Box>
      <Verdict verdict={judge.data} error={judge.error} onNext={again} />
    </Box>
  );
}
