import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { api, said, type Shapes } from '../../api/client';

/** Makes simulated sessions from this one: worked at drawn instruments, or played by a made-up class. */
export function useRehearsal(id: number) {
  const queries = useQueryClient();
  const go = useNavigate();
  const [played, setPlayed] = useState({ done: 0, of: 0 });
  const path = { session_id: id };
  const refresh = () => queries.invalidateQueries({ queryKey: ['sessions'] });
  const play = useMutation({
    mutationFn: async (asked: { benches: number; minutes: number }) => {
      const plan = await said(
        api.POST('/api/sessions/{session_id}/rehearsed', { params: { path }, body: asked }),
      );
      for (const [place, bench] of plan.benches.entries()) {
        setPlayed({ done: place, of: plan.benches.length });
        await said(api.POST('/api/benches/{bench_id}/played', { params: { path: { bench_id: bench.id } } }));
      }
      return plan.card.id;
    },
    onSuccess: (session) => void go(`/sessions/${session}/floor`),
    onSettled: refresh,
  });
  const work = useMutation({
    mutationFn: (asked: Shapes['WorkedRequest']) =>
      said(api.POST('/api/sessions/{session_id}/worked', { params: { path }, body: asked })),
    onSuccess: (plan, { students = [] }) =>
      void go(students.length > 0 ? `/sessions/${plan.card.id}` : `/benches/${plan.benches[0]?.id ?? 0}`),
    onSettled: refresh,
  });
  return { play, work, played };
}

/** Throws a simulated session away. */
export function useThrowAway(id: number) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: () =>
      said(api.DELETE('/api/sessions/{session_id}/simulated', { params: { path: { session_id: id } } })),
    onSuccess: () => queries.invalidateQueries({ queryKey: ['sessions'] }),
  });
}
