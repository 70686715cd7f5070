import type { Shapes } from '../../api/client';
import type { Draft } from '../../queue/outbox';

export type Task = Shapes['Hand'];
export type Bench = Shapes['BenchView'];

export interface Slot {
  key: string;
  trial: number | null;
  index: number | null;
}

export const sameSlot = (a: Slot, b: Slot) => a.key === b.key && a.trial === b.trial && a.index === b.index;

/** The task in hand: the one chosen, else the first that is neither done nor waiting to be sent. */
export function taskInHand(bench: Bench, chosen: Slot | null, pending: Draft[]): Task {
  const { tasks, hand } = bench.evaluation;
  const picked = chosen && tasks.find((task) => sameSlot(task, chosen));
  if (picked) return picked;
  const here = tasks.findIndex((task) => sameSlot(task, hand));
  const open = tasks
    .slice(Math.max(here, 0))
    .find((task) => !task.done && !pending.some((draft) => sameSlot(asSlot(draft), task)));
  return hand.kind === 'finished' ? hand : (open ?? hand);
}

export const asSlot = (draft: Draft): Slot => ({
  key: draft.key,
  trial: draft.trial ?? null,
  index: draft.index ?? null,
});

/** What stands at a place now, if anything. */
export const standing = (bench: Bench, slot: Slot) => bench.entries.find((entry) => sameSlot(entry, slot));

export const partOf = (bench: Bench, key: string) => bench.parts.find((part) => part.key === key);

export const toolOf = (bench: Bench, key: string) =>
  bench.instruments.find((tool) => tool.slug === partOf(bench, key)?.instrument);

type Step = Shapes['StepOut'];

/** The step that a task belongs to. */
export const stepOf = (bench: Bench, task: Task) =>
  bench.evaluation.steps.find((step) => step.key === task.step && step.trial === task.trial) ??
  bench.evaluation.steps.find((step) => step.key === task.step);

/** When a step's wait was begun, in seconds of the epoch: on the record, or written here and not yet sent. */
export function begun(step: Step, pending: Draft[]): number | null {
  const sent = pending.findLast(
    (draft) => draft.key === `timer.${step.key}` && (draft.trial ?? null) === step.trial,
  );
  return sent ? Date.parse(sent.written_at) / 1000 : step.begun;
}

/** A word that must be heard before anything else is done. */
export const urgent = (bench: Bench) =>
  bench.evaluation.findings.find((finding) => finding.level === 'stop' && finding.key !== '');

/** The trial that is being worked on, null outside trials. */
export const trialName = (bench: Bench, trial: number | null) =>
  bench.evaluation.steps.find((step) => step.trial === trial && trial !== null)?.trial_name ?? '';
