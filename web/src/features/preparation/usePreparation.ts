import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { api, said, type Shapes } from '../../api/client';
import { useSettled } from '../../time/useSettled';
import { useKept } from '../../api/answered';

/** What is made and set out for a session. */
export const usePreparation = (session: number) =>
  useQuery({
    queryKey: ['preparation', session],
    queryFn: () =>
      said(api.GET('/api/sessions/{session_id}/preparation', { params: { path: { session_id: session } } })),
  });

/** Writes down that a solution was made; its number may have become the plan's. */
export function useMake(session: number) {
  return useKept(
    ['preparation', session],
    (body: Shapes['MadeRequest']) =>
      said(api.POST('/api/sessions/{session_id}/made', { params: { path: { session_id: session } }, body })),
    [['session', session], ['week'], ['shelf']],
  );
}

/** Ticks a line of a session's list off, or takes the tick away. */
export function useTick(session: number) {
  return useKept(
    ['preparation', session],
    (body: Shapes['ReadyRequest']) =>
      said(api.POST('/api/sessions/{session_id}/ready', { params: { path: { session_id: session } }, body })),
    [['week']],
  );
}

/** A recipe from another bottle, or with what was measured: asked a moment after the last digit. */
export function useTriedRecipe(session: number, wanted: Shapes['RecipeRequest'], enabled: boolean) {
  const settled = useSettled(wanted, 250);
  return useQuery({
    queryKey: ['recipe', session, settled],
    enabled,
    retry: false,
    placeholderData: keepPreviousData,
    queryFn: () =>
      said(
        api.POST('/api/sessions/{session_id}/recipe', {
          params: { path: { session_id: session } },
          body: settled,
        }),
      ),
  });
}

/** The week in which a day lies; empty: this one. */
export const useWeek = (day: string) =>
  useQuery({
    queryKey: ['week', day],
    placeholderData: keepPreviousData,
    queryFn: () => said(api.GET('/api/week', { params: { query: day ? { day } : {} } })),
  });
