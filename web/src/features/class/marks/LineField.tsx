import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useState, type ReactNode } from 'react';
import { type Shapes } from '../../../api/client';
import { useDecide } from './useMarks';
import { FIGURES, ink } from '../../../identity/tokens';
import { NotDone } from '../../../identity/NotDone';

interface Props {
  line: Shapes['MarkLine'];
  bench: number;
  session: number;
  /** What a person reads before deciding. */
  children?: ReactNode;
}

/** One line: what is proposed and why; a number and a note decide otherwise. */
export function LineField({ line, bench, session, children }: Props) {
  const stands = line.decided ?? line.proposed;
  const [text, setText] = useState(stands === null ? '' : String(stands));
  const [note, setNote] = useState(line.note);
  const decide = useDecide(session);
  const changed = text.trim() !== (stands === null ? '' : String(stands)) || note !== line.note;
  const keep = () => {
    const points = Number(text.replace(',', '.'));
    if (changed && text.trim() && Number.isFinite(points))
      decide.mutate({ bench, kind: line.kind as Shapes['DecisionRequest']['kind'], points, note });
  };
  const onEnter = (event: React.KeyboardEvent) => event.key === 'Enter' && keep();
  return (
    <Box>
      <Box sx={{ display: 'grid', gridTemplateColumns: '148px minmax(0, 1fr)', gap: 1, alignItems: 'start' }}>
        <TextField
          size="small"
          label={line.label}
          value={text}
          onChange={(event) => setText(event.target.value)}
          onBlur={keep}
          onKeyDown={onEnter}
          slotProps={{
            htmlInput: { inputMode: 'decimal', style: { fontFamily: FIGURES } },
            inputLabel: { shrink: true },
            input: { endAdornment: <span style={{ color: 'inherit' }}>/{line.most}</span> },
          }}
        />
        <TextField
          size="small"
          label="Note, which the students see"
          value={note}
          onChange={(event) => setNote(event.target.value)}
          onBlur={keep}
          onKeyDown={onEnter}
          slotProps={{ htmlInput: { maxLength: 300 } }}
        />
      </Box>
      <Box sx={{ color: ink.inkSoft, fontSize: 13.5, mt: 0.5 }}>
        {line.decided !== null && (
          <>
            Decided; proposed {line.proposed ?? 'nothing'}.{' '}
            <Button
              size="small"
              onClick={() =>
                decide.mutate(
                  { bench, kind: line.kind as Shapes['DecisionRequest']['kind'], points: null, note: '' },
                  {
                    onSuccess: () => {
                      setText(line.proposed === null ? '' : String(line.proposed));
                      setNote('');
                    },
                  },
                )
              }
            >
              As proposed
            </Button>{' '}
          </>
        )}
        {line.reasons.join(' ')}
      </Box>
      {children}
      <NotDone lead="Not kept." error={decide.error} />
    </Box>
  );
}
