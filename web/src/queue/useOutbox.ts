import { useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useRef, useState } from 'react';
import { benchKey } from '../api/hooks';
import { keep, send, waiting, type Draft } from './outbox';

export interface Outbox {
  /** Written here and not yet seen in what the server says of the bench: to be counted as done. */
  pending: Draft[];
  /** How many of them are only on this device. */
  unsent: number;
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
  const [unsent, setUnsent] = useState(0);
  const [online, setOnline] = useState(true);
  const [refused, setRefused] = useState<string[]>([]);
  const acknowledged = useRef<Draft[]>([]);
  const running = useRef(Promise.resolve());
  const idle = useRef(true);

  const show = useCallback(async () => {
    const here = await waiting(bench);
    setUnsent(here.length);
    setPending([...acknowledged.current, ...here]);
    return here;
  }, [bench]);

  const once = useCallback(async () => {
    const here = await show();
    if (here.length === 0 && acknowledged.current.length === 0) return;
    try {
      const problems = await send(bench);
      acknowledged.current.push(...here);
      setOnline(true);
      if (problems.length > 0) setRefused(problems);
      // Only when the bench was read again does it show these entries itself.
      await queries.refetchQueries({ queryKey: benchKey(bench) }, { throwOnError: true });
      acknowledged.current = [];
    } catch {
      setOnline(false);
    }
    await show();
  }, [bench, queries, show]);

  // One after the other: two at once would each forget what the other has sent.
  const flush = useCallback(() => {
    idle.current = false;
    running.current = running.current.then(once).finally(() => {
      idle.current = true;
    });
    return running.current;
  }, [once]);

  useEffect(() => {
    const again = () => {
      if (idle.current) void flush();
    };
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
      const draft = await keep(bench, entry);
      setPending((before) => [...before, draft]);
      await flush();
    },
    [bench, flush],
  );

  return { pending, unsent, online, refused, write, dismiss: () => setRefused([]) };
}
