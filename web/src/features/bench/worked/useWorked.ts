import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { api, Refusal, said, type Shapes } from '../../../api/client';
import type { Slot } from '../hand';
import { keepAnswer } from '../../../api/answered';

type Worked = Shapes['Worked'];

/** The drawn instrument in hand, and what is done with it: one thing after the other, however fast one presses. */
export function useWorked(bench: number, slot: Slot) {
  const queries = useQueryClient();
  const key = ['worked', bench, slot.key, slot.trial, slot.index];
  const path = { bench_id: bench };
  const here = { key: slot.key, trial: slot.trial ?? undefined, index: slot.index ?? undefined };
  const seen = useQuery({
    queryKey: key,
    queryFn: () => said(api.GET('/api/benches/{bench_id}/worked', { params: { path, query: here } })),
  });
  const [error, setError] = useState<unknown>(null);
  const line = useRef(Promise.resolve());
  const send = async (act: string) => {
    const number = (queries.getQueryData<Worked>(key)?.done ?? 0) + 1;
    try {
      const body = { ...here, number, do: act };
      const after = await said(api.POST('/api/benches/{bench_id}/worked', { params: { path }, body }));
      await keepAnswer(queries, key, after);
      setError(null);
    } catch (problem) {
      setError(problem);
      if (problem instanceof Refusal) await queries.invalidateQueries({ queryKey: key });
    }
  };
  const act = (deed: string) => {
    line.current = line.current.then(() => send(deed));
  };
  return { worked: seen.data, act, error: error ?? seen.error };
}
