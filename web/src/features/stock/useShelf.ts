import { useQuery } from '@tanstack/react-query';
import { api, said, type Shapes } from '../../api/client';
import { useKept } from '../../api/answered';

const KEY = ['shelf'];

/** The department's bottles and counted pieces. */
export const useShelf = () => useQuery({ queryKey: KEY, queryFn: () => said(api.GET('/api/stock/shelf')) });

const useChange = <Said>(change: (what: Said) => Promise<Shapes['ShelfOut']>) =>
  useKept(KEY, change, [['preparation']]);

/** Changes of the shelf: a bottle put there, its label written anew, taken off; pieces counted. */
export function useShelfChange() {
  return {
    put: useChange(({ id, body }: { id: number | null; body: Shapes['BottleRequest'] }) =>
      said(
        id === null
          ? api.POST('/api/stock/bottles', { body })
          : api.PUT('/api/stock/bottles/{bottle}', { params: { path: { bottle: id } }, body }),
      ),
    ),
    take: useChange((id: number) =>
      said(api.DELETE('/api/stock/bottles/{bottle}', { params: { path: { bottle: id } } })),
    ),
    count: useChange(({ slug, body }: { slug: string; body: Shapes['CountRequest'] }) =>
      said(api.PUT('/api/stock/pieces/{slug}', { params: { path: { slug } }, body })),
    ),
  };
}
