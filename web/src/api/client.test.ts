// @vitest-environment jsdom
import { afterEach, expect, it, vi } from 'vitest';
import { api, patiently, said, sentence } from './client';

/** A network that died: nothing comes back, and whoever asked gives up by themselves or not at all. */
function dead() {
  const limits: number[] = [];
  vi.spyOn(AbortSignal, 'timeout').mockImplementation((most) => {
    limits.push(most);
    return AbortSignal.abort(new DOMException('The operation timed out.', 'TimeoutError'));
  });
  vi.stubGlobal(
    'fetch',
    (_request: Request, { signal }: RequestInit) =>
      new Promise((_, refuse) => {
        if (signal?.aborted) refuse(signal.reason as Error);
      }),
  );
  return limits;
}

afterEach(() => {
  vi.restoreAllMocks();
  vi.unstubAllGlobals();
});

const thrown = (call: Promise<unknown>) => call.then(String, (error: unknown) => sentence(error));

it('gives up what hangs in a dead network, and does not claim that it was not done', async () => {
  const limits = dead();
  const bench = { params: { path: { bench_id: 7 } } };
  expect(await thrown(said(api.GET('/api/benches/{bench_id}', bench)))).toMatch(/not answered for too long/);
  const entries = { ...bench, body: { person: null, entries: [] } };
  expect(await thrown(said(api.POST('/api/benches/{bench_id}/entries', entries)))).toMatch(/look before you/);
  await thrown(said(api.POST('/api/archive', { fetch: patiently })));
  expect(limits).toEqual([30_000, 60_000, 900_000]);
});

it('says so when there is no network', async () => {
  vi.stubGlobal('fetch', () => Promise.reject(new TypeError('Failed to fetch')));
  expect(await thrown(said(api.GET('/api/sections')))).toMatch(/No connection to the server/);
});
