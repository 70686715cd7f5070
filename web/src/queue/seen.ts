import { dehydrate, hydrate, type DehydratedState, type QueryClient } from '@tanstack/react-query';
import { openDB, type IDBPDatabase } from 'idb';

// What a bench needs to open without network: who I am, where, the bench as it was seen last, how its steps are drawn.
const KEPT = ['me', 'department', 'benches', 'bench', 'scene'];
const SOON = 500; // ms
const BUILD = import.meta.url; // has the hash of the code: what another version kept may have another shape

let opened: Promise<IDBPDatabase> | undefined;
const store = () =>
  (opened ??= openDB('chromata-seen', 1, { upgrade: (db) => void db.createObjectStore('seen') }));

/** Begins with what was seen last, and asks for all of it again; then keeps what is seen. A device that cannot keep anything goes on without. */
export async function withWhatWasSeen(queries: QueryClient): Promise<void> {
  try {
    const last = (await (await store()).get('seen', 'last')) as
      { build: string; seen: DehydratedState } | undefined;
    if (last?.build === BUILD) hydrate(queries, last.seen);
    await queries.invalidateQueries({ refetchType: 'none' });
  } catch {
    return;
  }
  let timer = 0;
  queries.getQueryCache().subscribe((event) => {
    if (event.type !== 'updated' || event.action.type !== 'success' || !kept(event.query.queryKey)) return;
    window.clearTimeout(timer);
    timer = window.setTimeout(() => void keep(queries), SOON);
  });
}

async function keep(queries: QueryClient): Promise<void> {
  const seen = dehydrate(queries, {
    shouldDehydrateQuery: ({ queryKey, state }) => state.status === 'success' && kept(queryKey),
  });
  await (await store()).put('seen', { build: BUILD, seen }, 'last');
}

/** Nothing stays for whoever uses the device next. */
export async function forgetWhatWasSeen(): Promise<void> {
  await (await store()).clear('seen').catch(() => undefined);
}

const kept = (key: readonly unknown[]) => KEPT.includes(String(key[0]));
