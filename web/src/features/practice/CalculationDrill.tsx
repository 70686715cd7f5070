import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useState, type FormEvent } from 'react';
import { Loaded } from '../../identity/Page';
import { FIGURES, ink } from '../../identity/tokens';
import { useDrill } from './usePractice';
import { Verdict } from './Verdict';

/** Fresh readings, and one line to be worked out. */
export function CalculationDrill({ slug }: { slug: string }) {
  const { task, judge, next } = useDrill('calculations', slug);
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
      {(found) => (
        <Box component="form" onSubmit={submit} sx={{ display: 'grid', gap: 2, maxWidth: 680 }}>
          <GivenLines title="Simulated readings" lines={found.given} />
          {found.known.length > 0 && <GivenLines title="Taken as known" lines={found.known} />}
          <Box sx={{ fontSize: 19, fontWeight: 700 }}>{found.wanted}?</Box>
          <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center' }}>
            <TextField
              label={found.unit ? `In ${found.unit}, or with its unit` : 'A plain number'}
              value={text}
              onChange={(event) => setText(event.target.value)}
              slotProps={{ htmlInput: { style: { fontFamily: FIGURES, fontSize: 20 } } }}
            />
            <Button type="submit" variant="outlined" disabled={!text.trim() || judge.isPending}>
              Look at it
            </Button>
          </Box>
          <Verdict verdict={judge.data} error={judge.error} onNext={again} />
        </Box>
      )}
    </Loaded>
  );
}

/** What is there to work with. */
export function GivenLines({ title, lines }: { title: string; lines: string[] }) {
  return (
    <Box>
      <Box component="h3" sx={{ m: 0, fontSize: 13.5, color: ink.inkSoft }}>
        {title}
      </Box>
      <Box component="ul" sx={{ m: 0, pl: 2.5 }}>
        {lines.map((line, place) => (
          <li key={place}>{line}</li>
        ))}
      </Box>
    </Box>
  );
}
