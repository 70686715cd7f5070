import Box from '@mui/material/Box';
import { Folded } from '../../identity/Folded';
import { Scene } from '../../scenes/Scene';
import { stepOf, type Bench, type Task } from './hand';

const photoInstead = (bench: Bench, step: string) =>
  bench.remarks.some((remark) => remark.step === step && remark.instead);

/** The drawing of the step in hand: open where nothing is read off an instrument and it is done for the first time. */
export function HowItIsDone({ bench, task, colour }: { bench: Bench; task: Task; colour: string }) {
  const step = stepOf(bench, task);
  if (!step?.scene || photoInstead(bench, step.key)) return null;
  const done = bench.evaluation.steps.some(
    (earlier) => earlier.scene === step.scene && earlier.trial !== step.trial && earlier.state === 'done',
  );
  const reads = task.kind === 'reading' || task.kind === 'bottle';
  if (done || reads)
    return (
      <Folded title="How it is done, drawn">
        <Scene of={step.scene} colour={colour} />
      </Folded>
    );
  return (
    <Box sx={{ mt: 0.5 }}>
      <Scene of={step.scene} colour={colour} />
    </Box>
  );
}
