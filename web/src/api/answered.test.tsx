// @vitest-environment jsdom
import { QueryClient, QueryClientProvider, QueryObserver } from '@tanstack/react-query';
import { act, renderHook, waitFor } from '@testing-library/react';
import type { ReactNode } from 'react';
import { expect, test } from 'vitest';
import { keepAnswer, useKept } from './answered';

const KEY = ['class', 1];
const later = (value: string, ms = 30) => new Promise<string>((told) => setTimeout(() => told(value), ms));

for (const before of ['seen once', undefined])
  test(`a look that is under way does not bring back what was before (${before ?? 'the first look'})`, async () => {
    const queries = new QueryClient();
    if (before) queries.setQueryData(KEY, before);
    const looking = new QueryObserver(queries, { queryKey: KEY, queryFn: () => later('before the change') });
    const stop = looking.subscribe(() => undefined);
    await keepAnswer(queries, KEY, 'after the change');
    await later('');
    expect(looking.getCurrentResult().data).toBe('after the change');
    stop();
  });

test('the slow answer to one change does not take back what another has told', async () => {
  const queries = new QueryClient();
  const wrapper = ({ children }: { children: ReactNode }) => (
    <QueryClientProvider client={queries}>{children}</QueryClientProvider>
  );
  let stands = 'neither';
  const decided = async () => {
    stands = 'decided';
    return later(stands, 60); // the answer is made at once, and is long on its way
  };
  const released = () => {
    stands = `${stands} and released`;
    return later(stands, 5);
  };
  const { result } = renderHook(() => [useKept(KEY, decided), useKept(KEY, released)] as const, { wrapper });
  act(() => result.current.forEach((change) => change.mutate(undefined)));
  await waitFor(() => expect(result.current.every((change) => change.isSuccess)).toBe(true));
  expect(queries.getQueryData(KEY)).toBe('decided and released');
});
