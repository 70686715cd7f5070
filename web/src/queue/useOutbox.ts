import { notifyManager, useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useRef, useState } from 'react';
import { Refusal, type Shapes } from '../api/client';
import { benchKey } from '../api/hooks';
import { send } from './outbox';
import { drop, hold, keep, of, type Author, type Draft, type Kept } from './store';
import { keepAnswer } from '../api/answered';

export interface Outbox {
  /** Written here and not yet seen in what the server says of the bench: to be counted as done. */
  pending: Draft[];
  /** How many of them are only on this device. */
  unsent: number;
  online: boolean;
  /** Why the server does not take them now, in its own words; empty if it does or cannot be reached. */
  trouble: string;
  /** Sentences about entries the server refused. */
  refused: string[];
  /** Entries the server could not read: they stay here until a person decides. */
  held: Kept[];
  /** Settled when the entry is on the device. */
  write: (entry: Partial<Draft> & Pick<Draft, 'key' | 'text'>) => Promise<void>;
  dismiss: () => void;
  tryAgain: (id: string) => Promise<void>;
  throwAway: (id: string) => Promise<void>;
}

/** Everything written at a bench goes through here: kept on the device, sent, acknowledged, shown. */
export function useOutbox(bench: number, author: Author): Outbox {
  const queries = useQueryClient();
  const [pending, setPending] = useState<Draft[]>([]);
  const [held, setHeld] = useState<Kept[]>([]);
  const [unsent, setUnsent] = useState(0);
  const [online, setOnline] = useState(true);
  const [trouble, setTrouble] = useState('');
  const [refused, setRefused] = useState<string[]>([]);
  const acknowledged = useRef<Draft[]>([]);
  const running = useRef(Promise.resolve());
  const idle = useRef(true);
  const { id, name } = author;

  const show = useCallback(async () => {
    const here = await of(bench, { id, name });
    const ready = here.filter((kept) => !kept.held).map((kept) => kept.draft);
    setUnsent(ready.length);
    setHeld(here.filter((kept) => kept.held));
    setPending([...acknowledged.current, ...ready]);
    return ready;
  }, [bench, id, name]);

  const once = useCallback(async () => {
    const here = await show();
    if (here.length === 0 && acknowledged.current.length === 0) return;
    try {
      let now: Shapes['BenchView'] | undefined;
      const problems = await send(bench, { id, name }, (drafts, seen) => {
        acknowledged.current.push(...drafts);
        now = seen;
      });
      setOnline(true);
      setTrouble('');
      if (problems.length > 0) setRefused(problems);
      // Only the bench as it stands behind them shows these entries itself: it came with the answer, or is read again.
      if (now) await keepAnswer(queries, benchKey(bench), now);
      else await queries.refetchQueries({ queryKey: benchKey(bench) }, { throwOnError: true });
      await new Promise((told) => notifyManager.schedule(() => told(undefined))); // until the screen has it too
      acknowledged.current = [];
    } catch (error) {
      setOnline(error instanceof Refusal);
      setTrouble(error instanceof Refusal ? error.message : '');
    }
    await show();
  }, [bench, id, name, queries, show]);

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
      const draft = await keep(bench, { id, name }, entry);
      setPending((before) => [...before, draft]);
      void flush(); // it is on the device: what follows needs no answer of the server
    },
    [bench, id, name, flush],
  );

  return {
    pending,
    unsent,
    online,
    trouble,
    refused,
    held,
    write,
    dismiss: () => setRefused([]),
    tryAgain: (entry) => hold(entry, '').then(flush),
    throwAway: (entry) => drop(entry).then(async () => void (await show())),
  };
}
