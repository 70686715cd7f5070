/** A declaration in the hands of its author: plain data, that may still be wrong in any way. */

export type Entry = Record<string, unknown>;
export interface Named {
  key: string;
  label: string;
}

export const entries = (value: unknown): Entry[] =>
  Array.isArray(value)
    ? value.filter((item): item is Entry => typeof item === 'object' && item !== null)
    : [];
export const text = (value: unknown): string =>
  typeof value === 'string' || typeof value === 'number' ? String(value) : '';
export const texts = (value: unknown): string[] => (Array.isArray(value) ? value.map(text) : []);
export const pairs = (value: unknown): [string, unknown][] =>
  typeof value === 'object' && value !== null && !Array.isArray(value) ? Object.entries(value) : [];

/** What people know a record by. */
export const nameOf = (entry: Entry): string =>
  text(entry.label) || text(entry.title) || text(entry.says) || text(entry.key);

/** The parts of the draft that a field may name, by their kind. */
export function partsOf(draft: Entry, kinds: string[]): Named[] {
  const all: Record<string, Entry[]> = {
    quantity: entries(draft.quantities),
    role: entries(draft.roles),
    step: entries(draft.steps),
    ...ofKind(entries(draft.readings), ['reading', 'series', 'observation'], ''),
    ...ofKind(entries(draft.options), ['number', 'choice'], '-option'),
    list: entries(draft.options).filter(
      (entry) => entry.kind === 'list-option' || entry.kind === 'pairs-option',
    ),
  };
  const entrys = kinds.flatMap((kind) => all[kind] ?? []);
  const named = entrys.map((entry) => ({ key: text(entry.key), label: nameOf(entry) }));
  return named.filter(({ key }, at) => key !== '' && named.findIndex((other) => other.key === key) === at);
}

const ofKind = (all: Entry[], kinds: string[], behind: string) =>
  Object.fromEntries(kinds.map((kind) => [kind, all.filter((entry) => entry.kind === `${kind}${behind}`)]));

/** The choices of an option with choices. */
export function choicesOf(draft: Entry, option: string): Named[] {
  const entry = entries(draft.options).find((declared) => declared.key === option);
  return entries(entry?.choices).map((choice) => ({ key: text(choice.key), label: nameOf(choice) }));
}

export type Row = [string, number | null, number | null, string];

/** A row for everything that is read, to be typed: once for the bench, and for as many trials as there must be. */
export function rowsToType(draft: Entry): Row[] {
  const least = Number(pairs(draft.trials).find(([name]) => name === 'minimum')?.[1] ?? 1);
  const trials = Array.from({ length: Math.max(1, least) }, (_, at) => at + 1);
  const readings = entries(draft.readings);
  return [
    ...readings.filter((reading) => reading.scope === 'bench').flatMap((reading) => rowsOf(reading, null)),
    ...trials.flatMap((trial) =>
      readings.filter((reading) => reading.scope !== 'bench').flatMap((reading) => rowsOf(reading, trial)),
    ),
  ];
}

function rowsOf(reading: Entry, trial: number | null): Row[] {
  if (reading.optional === true) return [];
  const voids = texts(reading.voids);
  const seen = entries(reading.choices).find((entry) => !voids.includes(text(entry.key)));
  const places = reading.kind === 'series' ? [1, 2, 3] : [null];
  return places.map((index) => [text(reading.key), trial, index, seen ? text(seen.key) : '']);
}
