import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { VerdictLine } from '../../identity/Verdict';
import type { Bench, Task } from './hand';
import { AnswerInHand, FinishedInHand, ObservationInHand, TickInHand } from './OtherInHand';
import { ReadingInHand } from './ReadingInHand';

interface Props {
  bench: Bench;
  task: Task;
  colour: string;
  open: boolean;
  online: boolean;
  onKeep: (text: string, correction: { supersedes: string; reason: string } | null) => void;
  onLetter: (letter: string) => boolean;
  onBack?: (() => void) | undefined;
}

/** The one thing in hand, in the form its work needs. */
export function InHand(props: Props) {
  const { task, open, onBack } = props;
  return (
    <Box>
      <Box sx={{ display: 'flex', justifyContent: 'space-between', alignItems: 'baseline', gap: 2, mb: 1 }}>
        <Box component="h1" sx={{ fontSize: { xs: 20, md: 24 }, lineHeight: 1.25, m: 0 }}>
          {task.title}
        </Box>
        {onBack && (
          <Button size="small" onClick={onBack}>
            Back to what is next
          </Button>
        )}
      </Box>
      {open ? (
        <Form {...props} />
      ) : (
        <VerdictLine level="look" lead="Read only.">
          The session is not open. Everything written here can be read and reported.
        </VerdictLine>
      )}
    </Box>
  );
}

function Form(props: Props) {
  const { bench, task, onKeep } = props;
  switch (task.kind) {
    case 'reading':
    case 'own':
      return <ReadingInHand {...props} />;
    case 'observation':
      return <ObservationInHand bench={bench} task={task} onKeep={onKeep} />;
    case 'answer':
      return <AnswerInHand bench={bench} task={task} onKeep={(text) => onKeep(text, null)} />;
    case 'finished':
      return <FinishedInHand bench={bench} />;
    default:
      return <TickInHand task={task} onDone={() => onKeep('done', null)} />;
  }
}
