import { useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useState } from 'react';
import { benchKey } from '../api/hooks';
import { keep, send, waiting, type Draft } from './outbox';

export interface Outbox {
  /** Written here, not yet acknowledged. */
  pending: Draft[];
  online: boolean;
  /** Sentences about entries the server refused. */
  refused: string[];
  write: (entry: Partial<Draft> & Pick<Draft, 'key' | 'text'>) => Promise<void>;
  dismiss: () => void;
}

/** Everything written at a bench goes through here: kept on the device, sent, acknowledged, shown. */
export function useOutbox(bench: number): Outbox {
  const queries = useQueryClient();
  const [pending, setPending] = useState<Draft[]>([]);
  const [online, setOnline] = useState(true);
  const [refused, setRefused] = useState<string[]>([]);

  const flush = useCallback(async () => {
    const before = await waiting(bench);
    setPending(before);
    if (before.length === 0) return;
    try {
      const problems = await send(bench);
      setOnline(true);
      if (problems.length > 0) setRefused(problems);
      await queries.invalidateQueries({ queryKey: benchKey(bench) });
    } catch {
      setOnline(false);
    }
    setPending(await waiting(bench));
  }, [bench, queries]);

  useEffect(() => {
    const again = () => void flush();
    again();
    const timer = window.setInterval(again, 4000);
    window.addEventListener('online', again);
    return () => {
      window.clearInterval(timer);
      window.removeEventListener('online', again);
    };
  }, [flush]);

  const write = useCallback<Outbox['write']>(
    async (entry) => {
      setRefused([]);
      await keep(bench, entry);
      await flush();
    },
    [bench, flush],
  );

  return { pending, online, refused, write, dismiss: () => setRefused([]) };
}
