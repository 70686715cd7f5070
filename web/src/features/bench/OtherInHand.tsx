import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { Link } from 'react-router';
import { useState, type KeyboardEvent } from 'react';
import { FIGURES, ink } from '../../identity/tokens';
import { VerdictLine } from '../../identity/Verdict';
import { TextInput } from '../../identity/TextInput';
import type { Keep } from '../../queue/store';
import { useChoiceKeys } from './useChoiceKeys';
import { partOf, sameSlot, standing, type Bench, type Task } from './hand';
import { Reason } from './Reason';

/** Where the keys are, seen from an arm's length. */
const RING = { '&:focus-visible': { outline: `4px solid ${ink.liquid}`, outlineOffset: 2 } };

/** Enter held down is one Enter: what follows is not chosen by the same press. */
const onlyOnce = (event: KeyboardEvent) => event.key === 'Enter' && event.repeat && event.preventDefault();

/** Something seen: a decision in one touch, or a digit and Enter; the usual one is under Enter at once. A question has none. */
export function ObservationInHand({
  bench,
  task,
  waiting = false,
  onKeep,
}: {
  bench: Bench;
  task: Task;
  /** Chosen, and on its way to be judged. */
  waiting?: boolean;
  onKeep: Keep;
}) {
  const [reason, setReason] = useState('');
  const before = standing(bench, task);
  const part = partOf(bench, task.key);
  const asks = Boolean(part?.asks);
  const usual = Boolean(part?.usual);
  const choices = (part?.choices ?? []).map((choice, place) => ({
    ...choice,
    label: task.labels[place] ?? choice.label,
  }));
  // Some things are looked at until they are as they should be: looking again is no correction.
  const again = before && !task.done;
  const judged = bench.evaluation.findings.find((finding) => sameSlot(finding, task));
  const why = again ? (asks ? 'Thought again' : 'Looked again') : reason.trim();
  const labelOf = (key: string) => choices.find((choice) => choice.key === key)?.label;
  const keys = useChoiceKeys(usual && (!before || Boolean(again)));
  return (
    <Box ref={keys} onKeyDown={onlyOnce} sx={{ display: 'grid', gap: 2, maxWidth: 560 }}>
      {asks && <Box sx={{ fontSize: 19, fontWeight: 700 }}>{part?.label}</Box>}
      <Box sx={{ color: ink.inkSoft }}>{task.detail}</Box>
      {again && (
        <VerdictLine level="repeat" lead={asks ? 'Think again.' : 'Look again.'}>
          {asks && judged ? judged.why : `The last time: ${labelOf(before.text)}`}
        </VerdictLine>
      )}
      {before && !again && <Reason value={reason} onChange={setReason} />}
      {choices.map((choice, place) => (
        <Button
          key={choice.key}
          variant={place === 0 && usual ? 'contained' : 'outlined'}
          disabled={waiting || (Boolean(before) && !why)}
          onClick={() => onKeep(choice.key, before && { supersedes: before.id, reason: why })}
          data-choice
          sx={{
            minHeight: 72,
            fontSize: 19,
            justifyContent: 'flex-start',
            textAlign: 'left',
            gap: 2,
            px: 2,
            ...RING,
          }}
        >
          <Box component="span" aria-hidden sx={{ fontFamily: FIGURES, fontWeight: 700, opacity: 0.75 }}>
            {place + 1}
          </Box>
          {choice.label}
        </Button>
      ))}
      <Box sx={{ color: ink.inkSoft, fontSize: 14 }}>
        By keys: the digit, then Enter{choices[0] && usual && `; Enter alone is “${choices[0].label}”`}.
      </Box>
    </Box>
  );
}

/** A step that is done and ticked off. */
export function TickInHand({ task, onDone }: { task: Task; onDone: () => void }) {
  return (
    <Box onKeyDown={onlyOnce} sx={{ display: 'grid', gap: 2, maxWidth: 560, justifyItems: 'start' }}>
      <Box sx={{ fontSize: 18 }}>{task.detail}</Box>
      <Button
        variant="contained"
        onClick={onDone}
        sx={{ minHeight: 64, fontSize: 19, px: 4, ...RING }}
        autoFocus
      >
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
      <TextInput
        multiline
        minRows={5}
        value={text}
        label="Your answer"
        onChange={(event) => setText(event.target.value)}
        longest={4000}
      />
      <Button variant="contained" disabled={!text.trim()} onClick={() => onKeep(text)} sx={{ px: 4 }}>
        Keep answer
      </Button>
    </Box>
  );
}

/** Nothing is left to do. */
export function FinishedInHand({ bench }: { bench: Bench }) {
  const next = bench.samples.find((sample) => sample.bench !== bench.id && sample.progress < 1);
  return (
    <Box sx={{ display: 'grid', gap: 2, maxWidth: 560, justifyItems: 'start' }}>
      <VerdictLine level="keep" lead="Everything is written.">
        A reading can still be corrected in the ledger, with a reason, until the session closes.
      </VerdictLine>
      {next && (
        <Button
          variant="contained"
          component={Link}
          to={`/benches/${next.bench}`}
          sx={{ minHeight: 56, fontSize: 18, px: 4 }}
        >
          Go on with {next.label}
        </Button>
      )}
      <Button
        variant={next ? 'outlined' : 'contained'}
        component={Link}
        to={`/benches/${bench.id}/report`}
        sx={{ minHeight: 56, fontSize: 18, px: 4 }}
      >
        Open the report
      </Button>
    </Box>
  );
}
