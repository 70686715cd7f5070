import { useQuery } from '@tanstack/react-query';
import { api, said, type Shapes } from '../../api/client';
import { useKept } from '../../api/answered';

export const usePrelab = (session: number) =>
  useQuery({
    queryKey: ['prelab', session],
    queryFn: () =>
      said(api.GET('/api/sessions/{session_id}/prelab', { params: { path: { session_id: session } } })),
  });

/** Keeps an attempt at one task; what is asked, as it then stands. */
export function useAnswerTask(session: number) {
  return useKept(
    ['prelab', session],
    (body: Shapes['TaskAnswerRequest']) =>
      said(
        api.POST('/api/sessions/{session_id}/prelab', { params: { path: { session_id: session } }, body }),
      ),
    [['prelabs']],
  );
}
