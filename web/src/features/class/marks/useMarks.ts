import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, said, type Shapes } from '../../../api/client';
import { useKept } from '../../../api/answered';

const marksKey = (session: number) => ['marks', session];

/** The marks of a session, for its own instructor. */
export const useMarks = (session: number) =>
  useQuery({
    queryKey: marksKey(session),
    queryFn: () =>
      said(api.GET('/api/sessions/{session_id}/marks', { params: { path: { session_id: session } } })),
  });

/** Marks a session by another rubric. */
export const useMarkBy = (session: number) =>
  useKept(marksKey(session), (rubric: number) =>
    said(
      api.PUT('/api/sessions/{session_id}/marks', {
        params: { path: { session_id: session } },
        body: { rubric },
      }),
    ),
  );

/** Decides one line of a bench’s marks; without points what is proposed stands again. */
export const useDecide = (session: number) =>
  useKept(marksKey(session), ({ bench, ...body }: Shapes['DecisionRequest'] & { bench: number }) =>
    said(api.PUT('/api/benches/{bench_id}/marks', { params: { path: { bench_id: bench } }, body })),
  );

/** Shows students their marks, or hides them. */
export const useReleaseMarks = (session: number) =>
  useKept(marksKey(session), (released: boolean) =>
    said(
      api.PUT('/api/sessions/{session_id}/marks/released', {
        params: { path: { session_id: session } },
        body: { released },
      }),
    ),
  );

/** Keeps a rubric under its name. */
export function useKeepRubric(session: number) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (body: Shapes['RubricRequest']) => said(api.PUT('/api/rubrics', { body })),
    onSuccess: () => queries.invalidateQueries({ queryKey: marksKey(session) }),
  });
}
