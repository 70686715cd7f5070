import { useState } from 'react';
import { useNavigate } from 'react-router';
import type { Shapes } from '../../api/client';
import { useInstruments, useMethod, useStock } from '../../api/hooks';
import { withAllLines } from './ownWork';
import { useForesight, usePrediction, useSavePlan, type Changing, type Plan } from './usePlan';

export interface Chosen {
  options?: Record<string, string>;
  instruments?: Record<string, string>;
}

/** A plan while it is made: its choices, what they lead to, and how it is saved. */
export function usePlanner(first: Plan, changing?: Changing) {
  const [typed, setPlan] = useState(first);
  const put = (change: Partial<Plan>) => setPlan((old) => ({ ...old, ...change }));
  const method = useMethod(typed.method).data;
  const solutions = useStock().data?.solutions ?? [];
  const prediction = usePrediction(typed);
  const foresight = useForesight(typed);
  // the lines may come after the choice that lets them wait for the students' own
  const plan = { ...typed, ownWork: withAllLines(typed.ownWork, prediction.data?.lines ?? []) };
  const save = useSavePlan(changing);
  const go = useNavigate();
  const parts = prediction.data?.parts;
  const roles = (method?.roles ?? []).filter(
    (role) => !parts || parts.some((part) => part.role === role.key),
  );
  return {
    plan,
    put,
    method,
    solutions,
    prediction,
    foresight,
    tools: useChosenTools(roles, plan.instruments),
    /** The options of a chapter of the plan that matter under what else is chosen. */
    optionsOf: (group: Shapes['OptionOut']['group']) =>
      (method?.options ?? []).filter(
        (option) => option.group === group && asked(option, prediction.data?.options),
      ),
    textOf: (option: Shapes['OptionOut']) => (key: string) =>
      plan.options[key] ??
      prediction.data?.options[key] ??
      (key.endsWith('.limit') ? option.limit : option.default),
    /** Other texts of options, other instruments, in one touch. */
    choose: ({ options = {}, instruments = {} }: Chosen) =>
      put({
        options: { ...plan.options, ...options },
        instruments: { ...plan.instruments, ...instruments },
      }),
    saving: save.isPending,
    refused: save.error,
    // without a title of its own it is called as its experiment
    save: () =>
      save.mutate(
        { ...plan, title: plan.title.trim() || (method?.card.title ?? '') },
        { onSuccess: (plan) => void go(`/sessions/${plan.card.id}`) },
      ),
  };
}

export type Planner = ReturnType<typeof usePlanner>;

/** For each role: the instruments that fit, and the one that is chosen. */
function useChosenTools(roles: Shapes['RoleOut'][], instruments: Record<string, string>) {
  const stock = useInstruments();
  return roles.map((role) => {
    const fitting = (stock.data ?? []).filter((tool) => role.kinds.includes(tool.kind));
    const chosen = fitting.length > 0 ? (instruments[role.key] ?? role.default) : '';
    return { role, fitting, chosen, name: fitting.find((tool) => tool.slug === chosen)?.short ?? '' };
  });
}

/** Whether an option matters under what else is chosen; before that is known, all do. */
const asked = (option: Shapes['OptionOut'], chosen: Record<string, string> | undefined) =>
  !chosen || Object.entries(option.when).every(([key, choices]) => choices.includes(chosen[key] ?? ''));
