import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { keyframes } from '@mui/material/styles';
import { RemarkPhoto } from '../../sessions/RemarkPhoto';
import { TakePhoto } from '../../sessions/TakePhoto';
import { VerdictLine } from '../../identity/Verdict';
import { FIGURES, ink } from '../../identity/tokens';
import type { Draft, Keep } from '../../queue/store';
import {
  asSlot,
  begun,
  meanwhileOf,
  ownAnswer,
  sameSlot,
  standing,
  stepOf,
  type Bench,
  type Slot,
  type Step,
  type Task,
} from './hand';
import { AnswerInHand, FinishedInHand, ObservationInHand, TickInHand } from './OtherInHand';
import { HalfHour } from './HalfHour';
import { HowItIsDone } from './HowItIsDone';
import { LoggedCurve } from './LoggedCurve';
import { ReadingInHand } from './ReadingInHand';
import { StepTimer } from './StepTimer';
import type { Kept } from './useAtBench';
import { WorkedHere } from './worked/WorkedHere';
import { Worksheet } from './Worksheet';

interface Props {
  bench: Bench;
  task: Task;
  colour: string;
  open: boolean;
  online: boolean;
  pending: Draft[];
  onTimer: (step: Step) => void;
  onChoose: (slot: Slot) => void;
  onKeep: Keep;
  onPhoto: (caption: string, image: string) => void;
  onLetter: (letter: string) => boolean;
  typedAhead: () => string;
  onBack?: (() => void) | undefined;
  kept: Kept | null;
}

/** The one thing in hand, in the form its work needs. */
export function InHand(props: Props) {
  const { task, open } = props;
  const worked = props.bench.session.simulated === 'worked';
  return (
    <Box>
      <Title {...props} />
      <KeptLine kept={props.kept} />
      <NotYet {...props} />
      {open ? (
        <Box sx={{ display: 'grid', gap: 2 }}>
          <RemarksHere bench={props.bench} task={task} />
          {worked && <WorkedHere bench={props.bench.id} task={task} colour={props.colour} />}
          {task.kind !== 'reading' && !worked && (
            <HowItIsDone bench={props.bench} task={task} colour={props.colour} />
          )}
          <Form {...props} />
          {(task.kind === 'reading' || worked) && (
            <HowItIsDone bench={props.bench} task={task} colour={props.colour} />
          )}
          <Around {...props} />
          <HalfHour bench={props.bench} pending={props.pending} colour={props.colour} />
        </Box>
      ) : (
        <VerdictLine level="look" lead="Read only.">
          The session is not open. Everything written here can be read and reported.
        </VerdictLine>
      )}
    </Box>
  );
}

function Title(props: Props) {
  const { bench, task, onBack } = props;
  return (
    <Box sx={{ display: 'flex', justifyContent: 'space-between', alignItems: 'baseline', gap: 2, mb: 1 }}>
      <Box component="h1" sx={{ fontSize: { xs: 20, md: 24 }, lineHeight: 1.25, m: 0 }}>
        {task.kind === 'own' ? stepOf(bench, task)?.title : task.title}
      </Box>
      {onBack ? (
        <Button size="small" onClick={onBack}>
          Back to what is next
        </Button>
      ) : (
        <OneMore {...props} />
      )}
    </Box>
  );
}

/** Who has time makes one more than the plan asks for. */
function OneMore({ bench, task, open, onChoose }: Props) {
  const { another, trial_noun } = bench.evaluation;
  if (!another || !open || task.trial !== null) return null;
  return (
    <Button size="small" variant="outlined" onClick={() => onChoose(another)}>
      One more {trial_noun.toLowerCase()}
    </Button>
  );
}

/** The line before was the last of its worksheet, and is not right: said while one has gone on already. */
function NotYet({ bench, task, kept, onChoose }: Props) {
  const own = kept && task.kind !== 'own' ? ownAnswer(bench, kept.slot) : undefined;
  if (!kept || !own || own.agrees) return null;
  return (
    <Box sx={{ mb: 2, maxWidth: 560 }}>
      <VerdictLine level="repeat" lead={`${own.label}.`}>
        {own.sentence}
        <Button size="small" onClick={() => onChoose(kept.slot)} sx={{ ml: 1, color: 'inherit' }}>
          Look at it
        </Button>
      </VerdictLine>
    </Box>
  );
}

/** The reading before, kept: seen from the corner of the eye, and told to who listens. */
function KeptLine({ kept }: { kept: Kept | null }) {
  return (
    <Box role="status" aria-label="Kept last" sx={{ minHeight: 28, mb: 1 }}>
      {kept && (
        <Box
          key={`${kept.title}${kept.text}`}
          sx={{
            display: 'inline-block',
            px: 1,
            borderRadius: 1,
            bgcolor: ink.keepWash,
            position: 'relative',
            '&::after': { ...RING, animation: `${fade} 1.2s ease-out forwards` },
          }}
        >
          <b>Kept.</b> {kept.title}{' '}
          <Box component="span" sx={{ fontFamily: FIGURES, fontWeight: 700 }}>
            {kept.text}
          </Box>
        </Box>
      )}
    </Box>
  );
}

// Only its opacity changes: a shadow that shrinks is painted anew sixty times a second.
const RING = {
  content: '""',
  position: 'absolute',
  inset: '-3px',
  border: `4px solid ${ink.keep}`,
  borderRadius: 1,
  pointerEvents: 'none',
} as const;
const fade = keyframes`to { opacity: 0; }`;

/** What the instructor adds to this step. */
function RemarksHere({ bench, task }: Pick<Props, 'bench' | 'task'>) {
  const here = bench.remarks.filter((remark) => remark.step === task.step);
  return here.map((remark) => (
    <Box key={remark.id} sx={{ borderLeft: `4px solid ${ink.link}`, pl: 1.5, maxWidth: 560 }}>
      {remark.text} <span style={{ color: ink.inkSoft }}>{remark.author}</span>
      <RemarkPhoto bench={bench.id} remark={remark} />
    </Box>
  ));
}

/** What belongs to the step besides its task: its wait, what may be needed, the usual cautions. */
function Around({ bench, task, colour, pending, onTimer, onChoose, onPhoto }: Props) {
  const step = stepOf(bench, task);
  if (!step) return null;
  const spare = bench.evaluation.tasks.filter(
    (other) =>
      other.optional &&
      other.step === task.step &&
      other.trial === task.trial &&
      !sameSlot(other, task) &&
      !standing(bench, other),
  );
  const here = bench.parts.find((part) => part.key === task.key);
  const curve = bench.parts.find((part) => part.logged && [task.key, here?.beside].includes(part.key));
  const running = begun(step, pending) !== null;
  const meanwhile = running ? meanwhileOf(bench, step, pending) : undefined;
  return (
    <Box sx={{ display: 'grid', gap: 1.5, maxWidth: 560 }}>
      {step.wait_seconds > 0 && (
        <StepTimer step={step} begun={begun(step, pending)} colour={colour} onStart={() => onTimer(step)} />
      )}
      {meanwhile && (
        <Button
          variant="outlined"
          onClick={() => onChoose(meanwhile)}
          sx={{ justifySelf: 'start', minHeight: 48 }}
        >
          Meanwhile: {meanwhile.title.toLowerCase()}
        </Button>
      )}
      {step.photo && <TakePhoto of={step.photo} label="Take a photo of it" onTake={onPhoto} />}
      {curve && <LoggedCurve bench={bench.id} series={curve} trial={task.trial} />}
      {spare.map((extra) => (
        <Button key={extra.key} onClick={() => onChoose(extra)} sx={{ justifySelf: 'start', px: 1 }}>
          If needed: {extra.title.toLowerCase()}
        </Button>
      ))}
      <Cautions of={step.cautions} />
    </Box>
  );
}

function Form(props: Props) {
  const { bench, task, pending, onKeep } = props;
  switch (task.kind) {
    case 'own':
      return <Worksheet {...props} />;
    case 'reading':
    case 'bottle':
      return <ReadingInHand {...props} />;
    case 'observation':
      return (
        <ObservationInHand
          waiting={pending.some((draft) => sameSlot(asSlot(draft), task))}
          {...{ bench, task, onKeep }}
        />
      );
    case 'answer':
      return <AnswerInHand bench={bench} task={task} onKeep={onKeep} />;
    case 'finished':
      return <FinishedInHand bench={bench} />;
    default:
      return <TickInHand task={task} onDone={() => onKeep('done')} />;
  }
}

function Cautions({ of }: { of: string[] }) {
  return of.map((caution) => (
    <Box key={caution} sx={{ borderLeft: `4px solid ${ink.look}`, pl: 1.25, fontSize: 14.5 }}>
      {caution}
    </Box>
  ));
}
