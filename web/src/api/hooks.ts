import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { standIn } from '../time/time';
import { newId } from '../queue/newId';
import { api, Refusal, said, type Shapes } from './client';
import { useKept } from './answered';

/** The signed-in person; null when nobody is. */
export function useMe() {
  return useQuery({
    queryKey: ['me'],
    staleTime: Infinity,
    queryFn: async () => (await said(api.GET('/api/me'))) ?? null,
  });
}

/** Whose installation this is; screens stand in its time zone from then on. */
export function useDepartment() {
  return useQuery({
    queryKey: ['department'],
    staleTime: 60_000,
    queryFn: async () => {
      const department = await said(api.GET('/api/department'));
      standIn(department.time_zone);
      return department;
    },
  });
}

export const useMethods = () =>
  useQuery({ queryKey: ['methods'], staleTime: Infinity, queryFn: () => said(api.GET('/api/methods')) });

export const useMethod = (slug: string) =>
  useQuery({
    queryKey: ['method', slug],
    enabled: slug !== '',
    staleTime: Infinity,
    queryFn: () => said(api.GET('/api/methods/{slug}', { params: { path: { slug } } })),
  });

export const useChoices = () =>
  useQuery({ queryKey: ['choices'], staleTime: Infinity, queryFn: () => said(api.GET('/api/choices')) });

export const useInstruments = () =>
  useQuery({
    queryKey: ['instruments'],
    staleTime: Infinity,
    queryFn: () => said(api.GET('/api/instruments')),
  });

export const useStock = () => useQuery({ queryKey: ['stock'], queryFn: () => said(api.GET('/api/stock')) });

const useStockChange = <Said>(change: (what: Said) => Promise<Shapes['Stock']>) =>
  useKept(['stock'], change, [['instruments']]);

/** Keeps what a bench found for later sessions. */
export function useStore(bench: number) {
  return useStockChange((name: string) =>
    said(
      api.POST('/api/benches/{bench_id}/store', { params: { path: { bench_id: bench } }, body: { name } }),
    ),
  );
}

/** Takes something out of the stockroom. */
export function useRetire() {
  return useStockChange((path: { kind: 'calibrations' | 'solutions' | 'instruments'; item: number }) =>
    said(api.DELETE('/api/stock/{kind}/{item}', { params: { path: { ...path, item: String(path.item) } } })),
  );
}

/** Puts an instrument of one's own into the stockroom. */
export function useAddInstrument() {
  return useStockChange((body: Shapes['OwnScaleRequest']) =>
    said(api.POST('/api/stock/instruments', { body })),
  );
}

export const useSections = () =>
  useQuery({ queryKey: ['sections'], queryFn: () => said(api.GET('/api/sections')) });

export const useSessions = () =>
  useQuery({ queryKey: ['sessions'], queryFn: () => said(api.GET('/api/sessions')) });

export const useSession = (id: number) =>
  useQuery({
    queryKey: ['session', id],
    queryFn: () => said(api.GET('/api/sessions/{session_id}', { params: { path: { session_id: id } } })),
  });

/** Has the turns at shared equipment solved anew around what is pinned. */
export function useSolveTurns(session: number) {
  return useKept(['session', session], (body: Shapes['TurnsRequest']) =>
    said(api.PUT('/api/sessions/{session_id}/turns', { params: { path: { session_id: session } }, body })),
  );
}

/** What a plan could take from an earlier session, under its method and choices. */
export function useTakings(
  earlier: number | null,
  { method, options }: Pick<Shapes['PlanRequest'], 'method'> & { options: Record<string, string> },
) {
  const takings = useQuery({
    queryKey: ['takings', earlier, method, options],
    enabled: earlier !== null && method !== '',
    retry: false,
    placeholderData: keepPreviousData,
    queryFn: () =>
      said(
        api.POST('/api/sessions/{session_id}/takings', {
          params: { path: { session_id: earlier ?? 0 } },
          body: { method, options },
        }),
      ),
  });
  return earlier === null ? [] : (takings.data ?? []);
}

/** The room, asked for every 1.5 s; the server answers 304 while nothing has changed. */
export const useFloor = (id: number, projector: boolean) =>
  useQuery({
    queryKey: ['floor', id, projector],
    refetchInterval: 1500,
    placeholderData: keepPreviousData,
    queryFn: () =>
      said(
        api.GET('/api/sessions/{session_id}/floor', {
          params: { path: { session_id: id }, query: { projector } },
        }),
      ),
  });

/** The class after its session. */
export const useClass = (id: number, projector: boolean) =>
  useQuery({
    queryKey: ['class', id, projector],
    placeholderData: keepPreviousData,
    queryFn: () =>
      said(
        api.GET('/api/sessions/{session_id}/class', {
          params: { path: { session_id: id }, query: { projector } },
        }),
      ),
  });

/** Leaves a bench out of its class's means for a reason, or lets it count again for none. */
export function useLeaveOut(session: number) {
  return useKept(['class', session, false], ({ bench, reason }: { bench: number; reason: string }) =>
    said(
      api.PUT('/api/benches/{bench_id}/left-out', {
        params: { path: { bench_id: bench } },
        body: { reason },
      }),
    ),
  );
}

/** The marks of one bench as its students see them. */
export const useOwnMarks = (bench: number) =>
  useQuery({
    queryKey: ['own-marks', bench],
    retry: false,
    queryFn: () => said(api.GET('/api/benches/{bench_id}/marks', { params: { path: { bench_id: bench } } })),
  });

export const useMyBenches = () =>
  useQuery({ queryKey: ['benches'], queryFn: () => said(api.GET('/api/benches')) });

export const benchKey = (id: number) => ['bench', id] as const;

export const useBench = (id: number) =>
  useQuery({
    queryKey: benchKey(id),
    refetchInterval: 4000,
    queryFn: () => said(api.GET('/api/benches/{bench_id}', { params: { path: { bench_id: id } } })),
  });

export const useReport = (id: number) =>
  useQuery({
    queryKey: ['report', id],
    queryFn: () => said(api.GET('/api/benches/{bench_id}/report', { params: { path: { bench_id: id } } })),
  });

/** Writes a logged curve at a bench; the bench as it then is. */
export function useLoggedCurve(bench: number) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (body: Shapes['CurveRequest']) =>
      said(api.POST('/api/benches/{bench_id}/curve', { params: { path: { bench_id: bench } }, body })),
    onSuccess: () => queries.invalidateQueries({ queryKey: benchKey(bench) }),
  });
}

/** Opens, closes or releases a session. */
export function useSessionState(id: number) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (action: Shapes['StateRequest']['action']) =>
      said(
        api.POST('/api/sessions/{session_id}/state', {
          params: { path: { session_id: id } },
          body: { action },
        }),
      ),
    onSuccess: () => queries.invalidateQueries(),
  });
}

/** Makes a session longer or shorter, in minutes from its start. */
export function useMinutes(id: number) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (minutes: number) =>
      said(
        api.PUT('/api/sessions/{session_id}/minutes', {
          params: { path: { session_id: id } },
          body: { minutes },
        }),
      ),
    onSuccess: () => queries.invalidateQueries(),
  });
}

/** Deletes a plan that was never opened. */
export function useDeletePlan(id: number) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: () =>
      said(api.DELETE('/api/sessions/{session_id}', { params: { path: { session_id: id } } })),
    onSuccess: () => queries.invalidateQueries({ queryKey: ['sessions'] }),
  });
}

/** What went wrong most when this method was held last. */
export const useLastTime = (id: number) =>
  useQuery({
    queryKey: ['last', id],
    staleTime: Infinity,
    queryFn: () => said(api.GET('/api/sessions/{session_id}/last', { params: { path: { session_id: id } } })),
  });

/** Adds a remark to a step, or ends one. */
export function useRemark(id: number) {
  return useKept(['session', id], (what: Shapes['RemarkRequest'] | { end: number }) =>
    'end' in what
      ? said(
          api.DELETE('/api/sessions/{session_id}/remarks/{remark_id}', {
            params: { path: { session_id: id, remark_id: what.end } },
          }),
        )
      : said(
          api.POST('/api/sessions/{session_id}/remarks', {
            params: { path: { session_id: id } },
            body: what,
          }),
        ),
  );
}

/** Lets a student try their PIN again at once. */
export function useUnlock(session: number) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (person: number) =>
      said(api.POST('/api/people/{person_id}/unlock', { params: { path: { person_id: person } } })),
    onSuccess: () => queries.invalidateQueries({ queryKey: ['session', session] }),
  });
}

type Change =
  | { places: Shapes['PlaceRequest'][] }
  | Shapes['DealRequest']
  | { samples: Shapes['SampleRequest'][]; all_samples: boolean }
  | Shapes['ComparisonRequest'];

/** Puts students at benches, gives a session its samples or another product's data; the plan as it then is. */
export function useChangePlan(id: number) {
  const path = { session_id: id };
  return useKept(
    ['session', id],
    (change: Change) =>
      'places' in change
        ? said(api.PUT('/api/sessions/{session_id}/teams', { params: { path }, body: change }))
        : 'how' in change
          ? said(api.POST('/api/sessions/{session_id}/teams/deal', { params: { path }, body: change }))
          : 'samples' in change
            ? said(api.PUT('/api/sessions/{session_id}/samples', { params: { path }, body: change }))
            : said(api.PUT('/api/sessions/{session_id}/comparison', { params: { path }, body: change })),
    [['sessions']],
  );
}

/** One word to every bench of the room. */
export function useSayToAll(sessionId: number) {
  return useMutation({
    mutationFn: (text: string) =>
      said(
        api.POST('/api/sessions/{session_id}/message', {
          params: { path: { session_id: sessionId } },
          body: { text },
        }),
      ),
  });
}

/** Something an instructor writes at a bench from the floor. */
export function useWriteAt(sessionId: number) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: async ({
      bench,
      said: words,
    }: {
      bench: number;
      said: { key: string; text: string; trial?: number }[];
    }) => {
      const entries = words.map(({ key, text, trial }) => ({
        id: newId(),
        key,
        text,
        trial: trial ?? null,
        index: null,
        written_at: new Date().toISOString(),
        supersedes: null,
        reason: '',
        image: '',
        slip: '',
      }));
      const { kept } = await said(
        api.POST('/api/benches/{bench_id}/entries', {
          params: { path: { bench_id: bench } },
          body: { entries },
        }),
      );
      const refused = kept.find((answer) => !answer.kept);
      if (refused) throw new Refusal([refused.problem], 409);
    },
    onSuccess: () => queries.invalidateQueries({ queryKey: ['floor', sessionId] }),
  });
}

export const useMyPrelabs = () =>
  useQuery({ queryKey: ['prelabs'], queryFn: () => said(api.GET('/api/prelabs')) });
