import { useEffect, useRef, useState } from 'react';

type State = 'idle' | 'printing' | 'ready' | 'failed';

const LANES = 2; // the server prints one at a time in each of its processes
const BUSY = [429, 503];
const PAUSE = 3000;

const pause = () => new Promise((resolve) => setTimeout(resolve, PAUSE));

/** Has every report printed once, so that the archive is sent without waiting; can be stopped and gone on with. */
export function usePrinting(benches: number[]) {
  const [state, setState] = useState<State>('idle');
  const [printed, setPrinted] = useState(0);
  const stop = useRef<AbortController>(undefined);
  useEffect(() => () => stop.current?.abort(), []);

  const begin = () => {
    const stopping = new AbortController();
    stop.current = stopping;
    setState('printing');
    setPrinted(0);
    const waiting = [...benches];
    const lane = async () => {
      for (let bench = waiting.shift(); bench !== undefined; bench = waiting.shift()) {
        await print(bench, stopping.signal);
        setPrinted((before) => before + 1);
      }
    };
    Promise.all(Array.from({ length: LANES }, lane)).then(
      () => setState('ready'),
      () => {
        stopping.abort();
        setState('failed');
      },
    );
  };
  return { printed, of: benches.length, state, begin, cancel: () => stop.current?.abort() };
}

/** Printed and kept by the server; asked again a little later where it is busy. */
async function print(bench: number, signal: AbortSignal): Promise<void> {
  for (;;) {
    const answer = await fetch(`/api/benches/${bench}/files/report.pdf`, { signal });
    await answer.arrayBuffer();
    if (answer.ok) return;
    if (!BUSY.includes(answer.status)) throw new Error(String(answer.status));
    await pause();
  }
}
