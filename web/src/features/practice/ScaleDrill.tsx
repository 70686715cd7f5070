import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useState, type FormEvent } from 'react';
import { Drawn } from '../../instruments/Drawn';
import { Loaded } from '../../identity/Page';
import { FIGURES } from '../../identity/tokens';
import { useDrill } from './usePractice';
import { Verdict } from './Verdict';

/** An instrument that stands somewhere: what does it show? */
export function ScaleDrill({ slug, colour }: { slug: string; colour: string }) {
  const { task, judge, next } = useDrill('scales', slug);
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
    <Loaded of={task}>
      {({ instrument, at }) => (
        <Box
          sx={{
            display: 'grid',
            gap: 3,
            gridTemplateColumns: { xs: '1fr', sm: '260px 1fr' },
            alignItems: 'start',
          }}
        >
          <Box sx={{ maxWidth: 300 }}>
            <Drawn tool={instrument} text={String(at)} colour={colour} silent />
          </Box>
          <Box component="form" onSubmit={submit} sx={{ display: 'grid', gap: 2, maxWidth: 460 }}>
            <Box sx={{ fontSize: 19, fontWeight: 700 }}>What does it show?</Box>
            <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center' }}>
              <TextField
                label={`Reading, ${instrument.unit}`}
                value={text}
                autoFocus
                key={at}
                onChange={(event) => setText(event.target.value)}
                slotProps={{
                  htmlInput: { inputMode: 'decimal', style: { fontFamily: FIGURES, fontSize: 24 } },
                }}
              />
              <Button type="submit" variant="outlined" disabled={!text.trim() || judge.isPending}>
                Read
              </Button>
            </Box>
            <Verdict verdict={judge.data} error={judge.error} onNext={again} />
            <Box sx={{ fontSize: 14 }}>{instrument.how}</Box>
          </Box>
        </Box>
      )}
    </Loaded>
  );
}
