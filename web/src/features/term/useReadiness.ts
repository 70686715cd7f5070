import { useQuery } from '@tanstack/react-query';
import { api, said, type Shapes } from '../../api/client';
import { useKept } from '../../api/answered';

export const useRoomReady = (session: number) =>
  useQuery({
    queryKey: ['ready', session],
    refetchInterval: 15_000,
    queryFn: () =>
      said(api.GET('/api/sessions/{session_id}/prelab/room', { params: { path: { session_id: session } } })),
  });

/** Lets a student begin who is not ready, or takes that back. */
export function useLetIn(session: number) {
  return useKept(['ready', session], (body: Shapes['LetInRequest']) =>
    said(
      api.PUT('/api/sessions/{session_id}/prelab/room', {
        params: { path: { session_id: session } },
        body,
      }),
    ),
  );
}
