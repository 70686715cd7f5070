import { useEffect, useRef } from 'react';
import { api, type Shapes } from '../../api/client';

const SECONDS = 4; // from one bench to the next

/** A made-up class goes on working while one looks at it: bench by bench, what has come due is written. */
export function useGoesOn(floor: Shapes['Floor'] | undefined) {
  const goesOn = floor?.session.simulated === 'class' && floor.session.state === 'open';
  const ids = floor?.benches.map((bench) => bench.id).join(' ');
  const turn = useRef(0);
  useEffect(() => {
    if (!goesOn || !ids) return undefined;
    const of = ids.split(' ').map(Number);
    const next = setInterval(() => {
      turn.current += 1;
      const bench_id = of[turn.current % of.length] ?? 0;
      // who only assists looks on: for them it is refused, and the instructor's own floor goes on
      void api
        .POST('/api/benches/{bench_id}/played', { params: { path: { bench_id } } })
        .catch(() => undefined);
    }, SECONDS * 1000);
    return () => clearInterval(next);
  }, [goesOn, ids]);
}
