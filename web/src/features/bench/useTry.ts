import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { api, Refusal, said, type Shapes } from '../../api/client';
import type { Draft } from '../../queue/store';
import type { Bench, Slot } from './hand';
import { judgedHere } from './judgedHere';

/** What the typed text would be worth, asked a moment after the last key; without network what can be told here. */
export function useTry(bench: Bench, slot: Slot, text: string, pending: Draft[]): Shapes['Verdict'] | null {
  const [settled, setSettled] = useState('');
  useEffect(() => {
    const timer = window.setTimeout(() => setSettled(text), 180);
    return () => window.clearTimeout(timer);
  }, [text]);
  const asked = useQuery({
    queryKey: ['try', bench.id, slot, settled],
    enabled: settled.trim() !== '',
    retry: false,
    queryFn: () =>
      said(
        api.POST('/api/benches/{bench_id}/try', {
          params: { path: { bench_id: bench.id } },
          body: { key: slot.key, trial: slot.trial, index: slot.index, text: settled },
        }),
      ),
  });
  if (settled !== text || text.trim() === '') return null;
  const unreachable = asked.error && !(asked.error instanceof Refusal);
  return asked.data ?? (unreachable ? judgedHere(bench, slot, text, pending) : null);
}
