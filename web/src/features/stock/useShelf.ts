import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, said, type Shapes } from '../../api/client';
import { keepAnswer } from '../../api/answered';

const KEY = ['shelf'];

/** The department's bottles and counted pieces. */
export const useShelf = () => useQuery({ queryKey: KEY, queryFn: () => said(api.GET('/api/stock/shelf')) });

/** Changes of the shelf: a bottle put there, its label written anew, taken off; pieces counted. */
export function useShelfChange() {
  const queries = useQueryClient();
  const onSuccess = async (shelf: Shapes['ShelfOut']) => {
    await keepAnswer(queries, KEY, shelf);
    await queries.invalidateQueries({ queryKey: ['preparation'] });
  };
  return {
    put: useMutation({
      mutationFn: ({ id, body }: { id: number | null; body: Shapes['BottleRequest'] }) =>
        said(
          id === null
            ? api.POST('/api/stock/bottles', { body })
            : api.PUT('/api/stock/bottles/{bottle}', { params: { path: { bottle: id } }, body }),
        ),
      onSuccess,
    }),
    take: useMutation({
      mutationFn: (id: number) =>
        said(api.DELETE('/api/stock/bottles/{bottle}', { params: { path: { bottle: id } } })),
      onSuccess,
    }),
    count: useMutation({
      mutationFn: ({ slug, body }: { slug: string; body: Shapes['CountRequest'] }) =>
        said(api.PUT('/api/stock/pieces/{slug}', { params: { path: { slug } }, body })),
      onSuccess,
    }),
  };
}
