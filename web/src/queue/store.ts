import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { Shapes } from '../api/client';
import { newId } from './newId';

export type Draft = Shapes['DraftRequest'];

/** Keeps a text where the hand is; beside it what it corrects, and where it was taken from. */
export type Keep = (text: string, beside?: Partial<Draft>) => void;

/** Who wrote it: a shared device keeps what belongs to several. */
export interface Author {
  id: number;
  name: string;
}

/** An entry on this device. `held` says why the server could not read it; it is not sent again until it is asked for. */
export interface Kept {
  id: string;
  bench: number;
  author: Author;
  order: number;
  draft: Draft;
  held: string;
}

interface Store extends DBSchema {
  drafts: { key: string; value: Kept; indexes: { bench: number } };
}

let opened: Promise<IDBPDatabase<Store>> | undefined;

const store = () =>
  (opened ??= openDB<Store>('chromata', 1, {
    upgrade(db) {
      db.createObjectStore('drafts', { keyPath: 'id' }).createIndex('bench', 'bench');
    },
  }));

/** Everything on this device that the server has not answered for, in the order written. */
export async function everything(): Promise<Kept[]> {
  return (await (await store()).getAll('drafts')).sort((a, b) => a.order - b.order);
}

/** What one person wrote at a bench. (Entries from before authors were kept count as theirs.) */
export async function of(bench: number, author: Author): Promise<Kept[]> {
  return (await everything()).filter(
    (kept) => kept.bench === bench && (kept.author?.id ?? author.id) === author.id,
  );
}

/** Keeps an entry on this device first. Sending it twice does no harm: the server knows its id. */
export async function keep(
  bench: number,
  author: Author,
  written: Partial<Draft> & Pick<Draft, 'key' | 'text'>,
): Promise<Draft> {
  const draft: Draft = {
    id: newId(),
    trial: null,
    index: null,
    supersedes: null,
    reason: '',
    image: '',
    slip: '',
    written_at: new Date().toISOString(),
    ...written,
  };
  const order = performance.timeOrigin + performance.now();
  await (await store()).put('drafts', { id: draft.id, bench, author, order, draft, held: '' });
  return draft;
}

/** Holds an entry back with the reason, or gives it free again (no reason). */
export async function hold(id: string, held: string): Promise<void> {
  const db = await store();
  const kept = await db.get('drafts', id);
  if (kept) await db.put('drafts', { ...kept, held });
}

/** Lets go of an entry: the server has answered for it, or a person threw it away. */
export async function drop(id: string): Promise<void> {
  await (await store()).delete('drafts', id);
}
