import { useMutation, useQueryClient, type QueryClient, type QueryKey } from '@tanstack/react-query';

/** Keeps what a change was answered with. A look that was under way meanwhile may have seen what was before: it is given up. */
export async function keepAnswer(queries: QueryClient, key: QueryKey, answer: unknown) {
  await queries.cancelQueries({ queryKey: key, exact: true });
  queries.setQueryData(key, answer);
}

/** Changes of what stands under a key go one after the other: the late answer to one must not take back what another has told. */
export const inTurn = (key: QueryKey) => ({ id: JSON.stringify(key) });

/** A change that is answered with what then stands under its key; the lists that it touches are asked for again. */
export function useKept<Said, Answer>(
  key: QueryKey,
  change: (what: Said) => Promise<Answer>,
  touched: QueryKey[] = [],
) {
  const queries = useQueryClient();
  return useMutation({
    scope: inTurn(key),
    mutationFn: change,
    onSuccess: async (answer) => {
      await keepAnswer(queries, key, answer);
      await Promise.all(touched.map((queryKey) => queries.invalidateQueries({ queryKey })));
    },
  });
}
