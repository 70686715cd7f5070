import type { QueryClient, QueryKey } from '@tanstack/react-query';

/** Keeps what a change was answered with. A look that was under way meanwhile may have seen what was before: it is given up. */
export async function keepAnswer(queries: QueryClient, key: QueryKey, answer: unknown) {
  await queries.cancelQueries({ queryKey: key, exact: true });
  queries.setQueryData(key, answer);
}
