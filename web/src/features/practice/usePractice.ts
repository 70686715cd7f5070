import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, said, type Shapes } from '../../api/client';

/** Each kind of practice, for a tab and as a title. */
export const KINDS = {
  scales: ['Scales', 'Read a scale'],
  calculations: ['Calculation', 'Work it out'],
  hunts: ['Faults', 'Find the fault'],
} as const;

export type Kind = keyof typeof KINDS;

/** “faults”, as it stands behind what was practised. */
export const kindOf = (kind: string) => (KINDS[kind as Kind]?.[0] ?? kind).toLowerCase();

const KEY = ['practice'];

export const usePractice = () => useQuery({ queryKey: KEY, queryFn: () => said(api.GET('/api/practice')) });

export const useClassPractice = () =>
  useQuery({ queryKey: ['practice', 'class'], queryFn: () => said(api.GET('/api/practice/class')) });

interface Tasks {
  scales: Shapes['ScaleTask'];
  calculations: Shapes['CalculationTask'];
  hunts: Shapes['Hunt'];
}

const newSeed = () => Math.floor(Math.random() * 2 ** 31);

/** One task after the other of a kind: asked for, answered, judged; the next one when it is wanted. */
export function useDrill<K extends Kind>(kind: K, slug: string) {
  const queries = useQueryClient();
  const [seed, setSeed] = useState(newSeed);
  const path = { slug };
  const task = useQuery({
    queryKey: ['practice', kind, slug, seed],
    staleTime: Infinity,
    queryFn: async () => {
      const verdict = await said(
        api.GET(`/api/practice/${kind}/{slug}` as '/api/practice/hunts/{slug}', {
          params: { path, query: { seed } },
        }),
      );
      return verdict as unknown as Tasks[K];
    },
  });
  const judge = useMutation({
    mutationFn: (text: string) =>
      said(
        api.POST(`/api/practice/${kind}/{slug}` as '/api/practice/hunts/{slug}', {
          params: { path },
          body: { seed, text },
        }),
      ),
    onSuccess: () => queries.invalidateQueries({ queryKey: KEY, exact: true }),
  });
  const next = () => {
    judge.reset();
    setSeed(newSeed());
  };
  return { task, judge, next };
}
