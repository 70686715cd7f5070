import type { Shapes } from '../../api/client';
import type { Draft } from '../../queue/store';
import { asSlot, partOf, sameSlot, standing, toolOf, type Bench, type Slot } from './hand';

type Verdict = Shapes['Verdict'];

/** What can be said of a typed number without the server: its decimals and range, whether it runs the wrong way against what it belongs to, and what comes before it. The server judges it again when it is sent. */
export function judgedHere(bench: Bench, slot: Slot, text: string, pending: Draft[]): Verdict | null {
  const tool = toolOf(bench, slot.key);
  const value = number(text);
  if (!tool || value === null) return null; // with a unit or a word: only the server can read it
  return (
    asShown(tool, value, plain(text)) ??
    wrongWay(bench, slot, value, pending) ??
    outOfOrder(bench, slot, pending) ??
    judged('keep', 'Keep.', 'Judged in full once the network is back.')
  );
}

function asShown(tool: Shapes['Instrument'], value: number, text: string): Verdict | null {
  if (value < Number(tool.low) || value > Number(tool.high))
    return look(`${tool.short} goes from ${tool.low} to ${tool.high} ${tool.unit}.`.replace(' .', '.'));
  const decimals = text.split('.')[1]?.length ?? 0;
  if (decimals < tool.decimals)
    return look(`It is read to ${places(tool.decimals)}; a zero at the end counts: write it.`);
  if (decimals > tool.decimals) return look(`It shows ${places(tool.decimals)}, not ${decimals}.`);
  return null;
}

/** A difference that this reading completes must be above zero: a burette's end beside its start. */
function wrongWay(bench: Bench, slot: Slot, value: number, pending: Draft[]): Verdict | null {
  for (const { plus, minus, sentence } of partOf(bench, slot.key)?.differences ?? []) {
    const all = [...plus, ...minus].map((key) =>
      key === slot.key ? value : written(bench, { ...slot, key }, pending),
    );
    const sum = all.reduce<number | null>(
      (total, figure, place) =>
        total === null || figure === null ? null : total + (place < plus.length ? figure : -figure),
      0,
    );
    if (sum !== null && sum <= 0) return look(sentence);
  }
  return null;
}

/** The number that stands at a place or waits to be sent to it; zero for what is only read if needed. */
function written(bench: Bench, slot: Slot, pending: Draft[]): number | null {
  const text =
    pending.findLast((draft) => sameSlot(asSlot(draft), slot))?.text ?? standing(bench, slot)?.text;
  if (text === undefined) return partOf(bench, slot.key)?.optional ? 0 : null;
  return number(text);
}

/** Something of the same step that is read first and is not written yet. */
function outOfOrder(bench: Bench, slot: Slot, pending: Draft[]): Verdict | null {
  const { tasks } = bench.evaluation;
  const here = tasks.find((task) => sameSlot(task, slot));
  const first = tasks.find(
    (task) =>
      task.step === here?.step &&
      task.turn === here.turn &&
      task.trial === slot.trial &&
      !task.done &&
      !task.optional &&
      !pending.some((draft) => sameSlot(asSlot(draft), task)),
  );
  return !first || !here || tasks.indexOf(first) >= tasks.indexOf(here)
    ? null
    : look(`Before it comes: ${first.title}.`);
}

const plain = (text: string) => text.trim().replace(',', '.').replace('−', '-');

const number = (text: string) => (/^[+-]?\d+(\.\d*)?$/.test(plain(text)) ? Number(plain(text)) : null);

const judged = (level: Verdict['level'], lead: string, text: string): Verdict => ({
  level,
  lead,
  text,
  suggest: '',
  refused: false,
});

const look = (text: string) => judged('look', 'Look again.', text);

const places = (count: number) => (count === 1 ? '1 decimal' : `${count} decimals`);
