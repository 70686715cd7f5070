import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { Link } from 'react-router';
import { useState } from 'react';
import { ink } from '../../identity/tokens';
import { VerdictLine } from '../../identity/Verdict';
import { partOf, standing, type Bench, type Task } from './hand';
import { Reason } from './Reason';

type Correction = { supersedes: string; reason: string } | null;

/** Something seen: a decision in one touch. */
export function ObservationInHand({
  bench,
  task,
  onKeep,
}: {
  bench: Bench;
  task: Task;
  onKeep: (text: string, correction: Correction) => void;
}) {
  const [reason, setReason] = useState('');
  const before = standing(bench, task);
  const part = partOf(bench, task.key);
  const choices = part?.choices ?? [];
  // Some things are looked at until they are as they should be: looking again is no correction.
  const again = before && part && part.until.length > 0 && !part.until.includes(before.text);
  const why = again ? 'Looked again' : reason.trim();
  return (
    <Box sx={{ display: 'grid', gap: 2, maxWidth: 560 }}>
      <Box sx={{ color: ink.inkSoft }}>{task.detail}</Box>
      {again && (
        <VerdictLine level="repeat" lead="Look again.">
          The last time: {choices.find((choice) => choice.key === before.text)?.label}
        </VerdictLine>
      )}
      {before && !again && <Reason value={reason} onChange={setReason} />}
      {choices.map((choice, place) => (
        <Button
          key={choice.key}
          variant={place === 0 ? 'contained' : 'outlined'}
          disabled={Boolean(before) && !why}
          onClick={() => onKeep(choice.key, before ? { supersedes: before.id, reason: why } : null)}
          sx={{ minHeight: 72, fontSize: 19, justifyContent: 'flex-start', px: 3 }}
        >
          {choice.label}
        </Button>
      ))}
    </Box>
  );
}

/** A step that is done and ticked off. */
export function TickInHand({ task, onDone }: { task: Task; onDone: () => void }) {
  return (
    <Box sx={{ display: 'grid', gap: 2, maxWidth: 560, justifyItems: 'start' }}>
      <Box sx={{ fontSize: 18 }}>{task.detail}</Box>
      <Button variant="contained" onClick={onDone} sx={{ minHeight: 64, fontSize: 19, px: 4 }} autoFocus>
        Done, go on
      </Button>
    </Box>
  );
}

/** A closing question, answered in words. */
export function AnswerInHand({
  bench,
  task,
  onKeep,
}: {
  bench: Bench;
  task: Task;
  onKeep: (text: string) => void;
}) {
  const number = Number(task.name);
  const [text, setText] = useState(standing(bench, task)?.text ?? '');
  return (
    <Box sx={{ display: 'grid', gap: 2, maxWidth: 620, justifyItems: 'start' }}>
      <Box sx={{ fontSize: 19, fontWeight: 700 }}>{bench.questions[number - 1]}</Box>
      <TextField
        multiline
        minRows={5}
        value={text}
        autoFocus
        label="Your answer"
        onChange={(event) => setText(event.target.value)}
        slotProps={{ htmlInput: { maxLength: 4000 } }}
      />
      <Button variant="contained" disabled={!text.trim()} onClick={() => onKeep(text)} sx={{ px: 4 }}>
        Keep answer
      </Button>
    </Box>
  );
}

/** Nothing is left to do. */
export function FinishedInHand({ bench }: { bench: Bench }) {
  return (
    <Box sx={{ display: 'grid', gap: 2, maxWidth: 560, justifyItems: 'start' }}>
      <VerdictLine level="keep" lead="Everything is written.">
        A reading can still be corrected in the ledger, with a reason, until the session closes.
      </VerdictLine>
      <Button
        variant="contained"
        component={Link}
        to={`/benches/${bench.id}/report`}
        sx={{ minHeight: 56, fontSize: 18, px: 4 }}
      >
        Open the report
      </Button>
    </Box>
  );
}
