import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, said, type Shapes } from '../../api/client';
import { keepAnswer } from '../../api/answered';

export const usePrelab = (session: number) =>
  useQuery({
    queryKey: ['prelab', session],
    queryFn: () =>
      said(api.GET('/api/sessions/{session_id}/prelab', { params: { path: { session_id: session } } })),
  });

/** Keeps an attempt at one task; what is asked, as it then stands. */
export function useAnswerTask(session: number) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (body: Shapes['TaskAnswerRequest']) =>
      said(
        api.POST('/api/sessions/{session_id}/prelab', { params: { path: { session_id: session } }, body }),
      ),
    onSuccess: async (view) => {
      await keepAnswer(queries, ['prelab', session], view);
      await queries.invalidateQueries({ queryKey: ['prelabs'] });
    },
  });
}
