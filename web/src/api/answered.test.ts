import { QueryClient, QueryObserver } from '@tanstack/react-query';
import { expect, test } from 'vitest';
import { keepAnswer } from './answered';

const KEY = ['class', 1];
const later = (value: string) => new Promise<string>((told) => setTimeout(() => told(value), 30));

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
