import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import { api, Refusal, said, type Shapes } from '../api/client';
import { newId } from './newId';

export type Draft = Shapes['DraftRequest'];

interface Kept {
  id: string;
  bench: number;
  order: number;
  draft: Draft;
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

/** What was written at a bench and not yet acknowledged, in the order written. */
export async function waiting(bench: number): Promise<Draft[]> {
  const kept = await (await store()).getAllFromIndex('drafts', 'bench', bench);
  return kept.sort((a, b) => a.order - b.order).map((one) => one.draft);
}

/** Keeps an entry on this device first. Sending it twice does no harm: the server knows its id. */
export async function keep(
  bench: number,
  written: Partial<Draft> & Pick<Draft, 'key' | 'text'>,
): Promise<Draft> {
  const draft: Draft = {
    id: newId(),
    trial: null,
    index: null,
    supersedes: null,
    reason: '',
    image: '',
    written_at: new Date().toISOString(),
    ...written,
  };
  await (
    await store()
  ).put('drafts', { id: draft.id, bench, order: performance.timeOrigin + performance.now(), draft });
  return draft;
}

/** Sends what is waiting. Answers with the sentences of refused entries; throws when there is no connection. */
export async function send(bench: number): Promise<string[]> {
  const db = await store();
  const problems: string[] = [];
  for (let drafts = await waiting(bench); drafts.length > 0; drafts = await waiting(bench)) {
    const answers = await sent(bench, drafts);
    await Promise.all(answers.map((answer) => db.delete('drafts', answer.id)));
    problems.push(...answers.filter((answer) => !answer.kept).map((answer) => answer.problem));
  }
  return problems;
}

const MOST = 200;
const LONGEST = 1_800_000; // characters of one request: pictures are long, readings are not

/** The first of them that fit into one request, at least one. */
export function batch(drafts: Draft[]): Draft[] {
  let length = 0;
  const end = drafts.slice(0, MOST).findIndex((draft, at) => {
    length += draft.image.length + draft.text.length;
    return at > 0 && length > LONGEST;
  });
  return drafts.slice(0, end < 0 ? MOST : end);
}

async function sent(bench: number, drafts: Draft[]): Promise<Shapes['Kept'][]> {
  const first = batch(drafts);
  try {
    return await said(
      api.POST('/api/benches/{bench_id}/entries', {
        params: { path: { bench_id: bench } },
        body: { entries: first },
      }),
    );
  } catch (error) {
    // A form the server cannot read at all will not be better next time: say so and let go of it.
    if (error instanceof Refusal && error.status === 400)
      return first.map((draft) => ({ id: draft.id, kept: false, problem: error.message }));
    throw error;
  }
}
