import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { api, said, type Shapes } from '../../api/client';
import type { Slot } from './hand';

/** What the typed text would be worth, asked a moment after the last key; null while unknown or without network. */
export function useTry(bench: number, slot: Slot, text: string): Shapes['Verdict'] | null {
  const [settled, setSettled] = useState('');
  useEffect(() => {
    const timer = window.setTimeout(() => setSettled(text), 180);
    return () => window.clearTimeout(timer);
  }, [text]);
  const asked = useQuery({
    queryKey: ['try', bench, slot, settled],
    enabled: settled.trim() !== '',
    retry: false,
    queryFn: () =>
      said(
        api.POST('/api/benches/{bench_id}/try', {
          params: { path: { bench_id: bench } },
          body: { key: slot.key, trial: slot.trial, index: slot.index, text: settled },
        }),
      ),
  });
  return settled === text && text.trim() !== '' ? (asked.data ?? null) : null;
}
