import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState, type FormEvent, type ReactNode } from 'react';
import { type Shapes } from '../../api/client';
import { CheckIcon } from '../../identity/Icons';
import { NotDone } from '../../identity/NotDone';
import { FIGURES, ink } from '../../identity/tokens';
import { VerdictLine } from '../../identity/Verdict';
import { ChoiceAnswer, LineAnswer, WordsAnswer, type AnswerProps } from './answers';
import { useAnswerTask } from './usePrelab';

type Task = Shapes['TaskState'];

interface Props {
  session: number;
  number: number;
  task: Task;
  /** Answers are still taken. */
  open: boolean;
  colour: string;
}

const ANSWERS: Record<Task['kind'], (props: AnswerProps) => ReactNode> = {
  line: LineAnswer,
  choice: ChoiceAnswer,
  own: WordsAnswer,
};

/** One task: what is asked, what is given, the answer in hand, and what is said of the last one. */
export function TaskCard({ session, number, task, open, colour }: Props) {
  const change = useAnswerTask(session);
  const [text, setText] = useState(task.answer);
  const [reason, setReason] = useState(task.reason);
  const Answer = ANSWERS[task.kind];
  const settled = !open || task.agrees === true;
  const submit = (event: FormEvent) => {
    event.preventDefault();
    change.mutate({ task: task.key, text, reason });
  };
  return (
    <Box
      component="form"
      onSubmit={submit}
      aria-label={task.text}
      sx={{ bgcolor: ink.sheet, border: `1px solid ${ink.rule}`, borderRadius: 2.5, p: 2.5 }}
    >
      <Asked number={number} task={task} />
      {task.why && <Box sx={{ color: ink.inkSoft, fontSize: 14.5, ml: 3 }}>{task.why}</Box>}
      <Given lines={task.given} />
      <Box sx={{ display: 'grid', gap: 1.5, mt: 1.5 }}>
        <Answer {...{ task, text, setText, reason, setReason, settled, colour }} />
        {!settled && (
          <Button
            type="submit"
            variant={task.done ? 'outlined' : 'contained'}
            disabled={change.isPending || !text.trim() || (task.kind === 'choice' && !reason.trim())}
            sx={{ justifySelf: 'start', minHeight: 44 }}
          >
            {task.kind === 'own' ? 'Keep it' : task.tries > 0 ? 'Try again' : 'Is it so?'}
          </Button>
        )}
        <NotDone lead="Not kept." error={change.error} />
        {!change.error && <SaidOf task={task} />}
      </Box>
    </Box>
  );
}

function Asked({ number, task }: Pick<Props, 'number' | 'task'>) {
  return (
    <Box component="h2" sx={{ m: 0, fontSize: 17, display: 'flex', gap: 1.25, alignItems: 'baseline' }}>
      <Box component="span" sx={{ fontFamily: FIGURES, color: ink.inkSoft, fontWeight: 400 }}>
        {number}
      </Box>
      <Box component="span" sx={{ flex: 1 }}>
        {task.text}
      </Box>
      {task.done && <CheckIcon titleAccess="done" sx={{ color: ink.keep, alignSelf: 'center' }} />}
    </Box>
  );
}

function Given({ lines }: { lines: string[] }) {
  if (lines.length === 0) return null;
  return (
    <Box
      component="ul"
      aria-label="Given"
      sx={{
        listStyle: 'none',
        m: 0,
        mt: 1,
        p: 1.25,
        bgcolor: ink.ground,
        borderRadius: 2,
        fontSize: 14.5,
        columns: { sm: 2 },
        columnGap: 3,
      }}
    >
      {lines.map((line) => (
        <Box component="li" key={line} sx={{ breakInside: 'avoid', py: 0.25 }}>
          {line}
        </Box>
      ))}
    </Box>
  );
}

function SaidOf({ task }: { task: Task }) {
  if (!task.sentence) return null;
  const level = task.agrees === false ? 'repeat' : 'keep';
  return (
    <VerdictLine level={level} lead="">
      {task.sentence}
      {task.told && (
        <Box
          sx={{
            fontFamily: task.kind === 'line' ? FIGURES : undefined,
            fontSize: 14,
            mt: 0.5,
            overflowWrap: 'anywhere',
          }}
        >
          {task.told}
        </Box>
      )}
    </VerdictLine>
  );
}
