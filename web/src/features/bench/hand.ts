import type { Shapes } from '../../api/client';
import { ownKey, timerKey } from '../../api/places';
import type { Draft } from '../../queue/store';

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
  const { tasks, hand, another } = bench.evaluation;
  const picked = chosen && [...tasks, ...(another ? [another] : [])].find((task) => sameSlot(task, chosen));
  if (picked) return picked;
  const here = tasks.findIndex((task) => sameSlot(task, hand));
  const ahead = tasks.slice(Math.max(here, 0));
  const open = ahead.find((task) => !task.done && !waits(pending, task));
  if (hand.kind === 'finished') return hand;
  return nextRound(tasks, pending) ?? nextOfSeries(bench, tasks, ahead, pending) ?? open ?? hand;
}

/** A cycle goes on until the server says that it is over: the first of its next round, while its weighing waits. */
function nextRound(tasks: Task[], pending: Draft[]): Task | undefined {
  const at = tasks.findLastIndex(
    (task) => task.turn !== null && task.kind === 'reading' && waits(pending, task),
  );
  const { turn = null, trial } = tasks[at] ?? {};
  if (turn === null || tasks[at + 1]?.turn === turn + 1) return undefined;
  const first = tasks.slice(0, at + 1).findLastIndex((task) => task.turn !== turn || task.trial !== trial);
  const begins = tasks[first + 1];
  return begins && { ...numbered(begins, turn + 1), turn: turn + 1 };
}

/** A series goes on until the server says that it is met: its next reading, while its last ones wait to be sent. */
function nextOfSeries(bench: Bench, tasks: Task[], ahead: Task[], pending: Draft[]): Task | undefined {
  const waiting = (task: Task) => waits(pending, task);
  const begun = ahead.find((task) => task.index !== null && task.turn === null && waiting(task));
  if (!begun) return undefined;
  const row = tasks.filter(
    (task) => task.step === begun.step && task.trial === begun.trial && task.index === begun.index,
  );
  if (!row.every((task) => task.done || waiting(task))) return undefined;
  const pair = [begun.key, partOf(bench, begun.key)?.beside];
  const later = pending
    .filter((draft) => pair.includes(draft.key) && (draft.trial ?? null) === begun.trial)
    .map((draft) => draft.index ?? 0);
  const last = Math.max(begun.index ?? 0, ...later);
  const [first = begun] = row;
  const missing = row.find(
    (task) => last > (begun.index ?? 0) && !waiting({ ...task, index: last }) && task.key !== first.key,
  );
  return missing ? numbered(missing, last) : numbered(first, last + 1);
}

/** The same task at another place of its series: “Delivery 5” for “Delivery 4”. */
const numbered = (task: Task, index: number): Task => ({
  ...task,
  index,
  title: task.row_title.replace('{row}', String(index)),
  offer: '', // what waits to be sent is not counted in it
});

export const asSlot = (draft: Draft): Slot => ({
  key: draft.key,
  trial: draft.trial ?? null,
  index: draft.index ?? null,
});

/** What is offered to be written: the next of equal steps, or what was read for another sample and is the same for all. */
export function offerOf(bench: Bench, task: Task): { text: string; why: string } | undefined {
  if (task.offer) return { text: task.offer, why: 'One step on' };
  const before = bench.read_before.find((reading) => sameSlot({ ...reading, trial: null }, task));
  return before && !standing(bench, task) ? { text: before.text, why: `As for ${before.sample}` } : undefined;
}

/** What stands at a place now, if anything. */
export const standing = (bench: Bench, slot: Slot) => bench.entries.find((entry) => sameSlot(entry, slot));

export const partOf = (bench: Bench, key: string) => bench.parts.find((part) => part.key === key);

export const toolOf = (bench: Bench, key: string) =>
  bench.instruments.find((tool) => tool.slug === partOf(bench, key)?.instrument);

/** What was written, as one says it: a choice by its words, a reading with its unit, nothing for what is ticked off. */
export function saidAs(bench: Bench, task: Task, text: string): string {
  const part = partOf(bench, task.key);
  const place = part?.choices.findIndex((choice) => choice.key === text) ?? -1;
  const choice = part?.choices[place];
  if (choice) return task.labels[place] ?? choice.label;
  return task.kind === 'reading' ? `${text} ${part?.unit ?? ''}`.trim() : task.kind === 'own' ? text : '';
}

export type Step = Shapes['StepOut'];

/** What is said of a line that was worked out, once the server has said it. */
export const ownAnswer = (bench: Bench, slot: Slot) =>
  bench.evaluation.own.find((answer) => slot.key === ownKey(answer.key) && slot.trial === answer.trial);

/** The next line of a worksheet that was answered and does not agree yet: who mends one goes on to it. */
export function lineToMend(bench: Bench, task: Task): Task | undefined {
  const lines = bench.evaluation.tasks.filter((line) => line.kind === 'own' && line.step === task.step);
  const after = lines.slice(lines.findIndex((line) => sameSlot(line, task)) + 1);
  return task.done ? after.find((line) => ownAnswer(bench, line)?.agrees === false) : undefined;
}

/** Where what is done in rounds stands: the first round has no number. */
export const rowOfTurn = (turn: number | null) => (turn === null || turn === 1 ? null : turn);

/** Whether a task belongs to this step, in this round of its cycle. */
export const isOf = (step: Step, task: Task) =>
  step.key === task.step && (step.trial === task.trial || step.trial === null) && step.turn === task.turn;

/** The step that a task belongs to. */
export const stepOf = (bench: Bench, task: Task) =>
  bench.evaluation.steps.find((step) => isOf(step, task)) ??
  bench.evaluation.steps.find((step) => step.key === task.step);

/** When a step's wait was begun, in seconds of the epoch: on the record, or written here and not yet sent. */
export function begun(step: Step, pending: Draft[]): number | null {
  const sent = pending.findLast(
    (draft) =>
      draft.key === timerKey(step.key) &&
      (draft.trial ?? null) === step.trial &&
      (draft.index ?? null) === rowOfTurn(step.turn),
  );
  return sent ? Date.parse(sent.written_at) / 1000 : step.begun;
}

const waits = (pending: Draft[], slot: Slot) => pending.some((draft) => sameSlot(asSlot(draft), slot));

/** What can be done for the next trial while this one waits. */
export const meanwhileOf = (bench: Bench, step: Step, pending: Draft[]): Task | undefined =>
  bench.evaluation.tasks.find(
    (task) =>
      task.step === step.meanwhile &&
      task.trial === (step.trial ?? 0) + 1 &&
      !task.done &&
      !task.optional &&
      !waits(pending, task),
  );

/** What follows in the same step of the same trial: who chose something out of turn goes on there. */
export const nextInStep = (bench: Bench, done: Task, pending: Draft[]): Task | undefined =>
  bench.evaluation.tasks.find(
    (task) =>
      task.step === done.step &&
      task.trial === done.trial &&
      task.turn === done.turn &&
      !sameSlot(task, done) &&
      !task.done &&
      !task.optional &&
      !waits(pending, task),
  );

/** A word that must be heard before anything else is done. */
export const urgent = (bench: Bench) =>
  bench.evaluation.findings.find((finding) => finding.level === 'stop' && finding.key !== '');

/** The trial that is being worked on, null outside trials. */
export const trialName = (bench: Bench, trial: number | null) =>
  bench.evaluation.steps.find((step) => step.trial === trial && trial !== null)?.trial_name ?? '';
