import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, said, type Shapes } from '../../api/client';
import { date } from '../../time/time';
import { useSettled } from '../../time/useSettled';
import type { OwnWork } from './ownWork';
import { inTurn, keepAnswer } from '../../api/answered';

export interface Sample {
  name: string;
  accepted: Record<string, string>;
  /** What is chosen otherwise for it than for the session. */
  options: Record<string, string>;
}

export interface Plan {
  method: string;
  section: number | null;
  guests: number[];
  title: string;
  room: string;
  starts: string;
  minutes: string;
  benches: string;
  options: Record<string, string>;
  instruments: Record<string, string>;
  samples: Sample[];
  /** Each bench works with all of them, instead of with one in turn. */
  allSamples: boolean;
  /** Closing questions instead of the method's own; none: its own. */
  questions: string[];
  ownWork: OwnWork;
  prelab: Shapes['Prelab'];
  /** The session that it goes on with, and what of it stands for which number of this plan. */
  follows: number | null;
  takes: Record<string, Shapes['TakenFrom']>;
}

/** Tomorrow at nine, as a date-time field wants it. */
export const tomorrow = () => `${date(1)}T09:00`;

/** A plan as what it gives is asked for. */
function preview(plan: Plan) {
  const { method, options, instruments } = plan;
  const benches = Math.min(Math.max(Math.trunc(Number(plan.benches)) || 1, 1), 48);
  const samples_each = plan.allSamples ? Math.max(named(plan.samples).length, 1) : 1;
  const minutes = Math.min(Math.max(Math.trunc(Number(plan.minutes)) || 0, 0), 600);
  return { method, options, instruments, benches, samples_each, minutes };
}

/** What the plan will give; asked again a moment after the last change, the former answer shown until then. */
export function usePrediction(plan: Plan) {
  const settled = useSettled(preview(plan), 250);
  return useQuery({
    queryKey: ['predict', settled],
    enabled: settled.method !== '',
    retry: false,
    placeholderData: keepPreviousData,
    queryFn: () => said(api.POST('/api/predict', { body: settled })),
  });
}

/** What one change would do, asked a little later than what the plan itself gives: it takes longer. */
export function useForesight(plan: Plan) {
  const settled = useSettled(preview(plan), 600);
  return useQuery({
    queryKey: ['foresee', settled],
    enabled: settled.method !== '',
    retry: false,
    placeholderData: keepPreviousData,
    queryFn: () => said(api.POST('/api/foresee', { body: settled })),
  });
}

/** Which saved plan is being changed, and how it was when it was looked at. */
export interface Changing {
  id: number;
  revision: number;
}

/** Saves a plan as a planned session, or a planned session as changed. */
export function useSavePlan(changing?: Changing) {
  const queries = useQueryClient();
  return useMutation({
    scope: inTurn(['session', changing?.id]),
    mutationFn: (plan: Plan) =>
      changing
        ? said(
            api.PUT('/api/sessions/{session_id}', {
              params: { path: { session_id: changing.id } },
              body: { ...request(plan), revision: changing.revision },
            }),
          )
        : said(api.POST('/api/sessions', { body: request(plan) })),
    onSuccess: async (plan) => {
      await keepAnswer(queries, ['session', plan.card.id], plan);
      await queries.invalidateQueries({ queryKey: ['sessions'] });
    },
  });
}

/** A plan that stands, as the planner's form holds it. */
export function planOf({ card, draft, samples }: Shapes['SessionPlan']): Plan {
  return {
    method: card.method,
    section: draft.section,
    guests: draft.guests,
    title: card.title,
    room: card.room,
    starts: draft.starts,
    minutes: String(card.minutes),
    benches: String(card.benches),
    options: draft.options,
    instruments: draft.instruments,
    samples,
    allSamples: draft.all_samples,
    questions: draft.questions,
    ownWork: draft.own_work,
    prelab: draft.prelab,
    follows: draft.follows,
    takes: draft.takes,
  };
}

/** Those that have a name, without blanks around it. */
export const named = (samples: Sample[]) =>
  samples.filter((sample) => sample.name.trim()).map((sample) => ({ ...sample, name: sample.name.trim() }));

function request(plan: Plan): Shapes['PlanRequest'] {
  const { method, title, room, options, instruments } = plan;
  return {
    method,
    title: title.trim(),
    room,
    options,
    instruments,
    section: plan.section ?? 0,
    guests: plan.guests,
    starts_at: plan.starts, // without a zone: the server takes it as the department's
    minutes: Number(plan.minutes),
    benches: Number(plan.benches),
    questions: plan.questions.map((question) => question.trim()).filter(Boolean),
    samples: named(plan.samples),
    all_samples: plan.allSamples,
    own_work: plan.ownWork,
    prelab: {
      ...plan.prelab,
      questions: plan.prelab.questions.map((question) => question.trim()).filter(Boolean),
    },
    follows: plan.follows,
    takes: plan.takes,
  };
}
