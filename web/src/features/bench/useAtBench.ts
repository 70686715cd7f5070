import { useEffect, useState } from 'react';
import { timerKey } from '../../api/places';
import type { Author, Draft } from '../../queue/store';
import { useOutbox } from '../../queue/useOutbox';
import type { Asking } from './BenchDialogs';
import {
  isOf,
  lineToMend,
  nextInStep,
  partOf,
  rowOfTurn,
  saidAs,
  taskInHand,
  type Bench,
  type Slot,
  type Step,
} from './hand';
import { useTypedAhead } from './useTypedAhead';

const LETTERS: Record<string, Asking> = { r: 'reject', o: 'note', h: 'call', '?': 'keys' };
export type Part = 'steps' | 'reading' | 'ledger';

/** What was written last, as it is told to who looks at the instrument and not at the screen. */
export interface Kept {
  title: string;
  text: string;
  slot: Slot;
}

/** What is in hand at a bench, and everything that can be done there. */
export function useAtBench(bench: Bench, me: Author) {
  const outbox = useOutbox(bench.id, me);
  const [chosen, setChosen] = useState<Slot | null>(null);
  const [asking, setAsking] = useState<Asking>(null);
  const [part, setPart] = useState<Part>('reading');
  const [kept, setKept] = useState<Kept | null>(null);
  const task = taskInHand(
    bench,
    chosen,
    outbox.online ? outbox.pending.filter(notAsked(bench)) : outbox.pending,
  );
  const place = `${task.key}/${task.trial}/${task.index}/${chosen ? 'chosen' : 'next'}`;
  const ahead = useTypedAhead(place);

  const ask = (letter: string) => {
    const wanted = LETTERS[letter.toLowerCase()] ?? null;
    if (wanted === null || (wanted === 'reject' && task.trial === null)) return false;
    setAsking(wanted);
    return true;
  };
  useLetters(asking === null, ask);
  const choose = (slot: Slot) => {
    setChosen(slot);
    setPart('reading');
  };
  return {
    outbox,
    task,
    place,
    typedAhead: ahead.typed,
    chosen,
    asking,
    setAsking,
    part,
    setPart,
    ask,
    choose,
    kept,
    leaveChoice: chosen ? () => setChosen(null) : undefined,
    chooseStep: (step: Step) => {
      const first = bench.evaluation.tasks.find((task) => isOf(step, task));
      if (first) choose(first);
    },
    beginWait: ({ key, trial, turn }: Step) =>
      void outbox.write({ key: timerKey(key), text: 'begun', trial, index: rowOfTurn(turn) }),
    photo: (text: string, image: string) => void outbox.write({ key: 'photo', text, image }),
    say: (what: 'call' | 'note' | 'reject', text: string) => {
      setAsking(null);
      const rejected = what === 'reject';
      void outbox.write({ key: rejected ? 'void' : what, text, trial: rejected ? task.trial : null });
      if (rejected) setChosen(null);
    },
    keep: (text: string, beside: Partial<Draft> = {}) => {
      // what is made only if needed may call for more, which the server knows; else one goes on in the step
      const onward = chosen && !task.done && !task.optional;
      const next = task.kind === 'own' ? lineToMend(bench, task) : undefined;
      setChosen(next ?? (onward ? nextInStep(bench, task, outbox.pending) : undefined) ?? null);
      const { key, trial, index } = task;
      setKept({ title: task.title, text: saidAs(bench, task, text), slot: { key, trial, index } });
      ahead.begin(outbox.write({ key, text, trial, index, ...beside }));
    },
  };
}

export type AtBench = ReturnType<typeof useAtBench>;

/** What is asked stays in hand until the server has judged it; without network one goes on. */
const notAsked = (bench: Bench) => (draft: Draft) => !partOf(bench, draft.key)?.asks;

/** Single letters mean something wherever nobody is writing. */
function useLetters(listening: boolean, ask: (letter: string) => boolean) {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const inField = event.target instanceof HTMLInputElement || event.target instanceof HTMLTextAreaElement;
      const alone = listening && !inField && !event.ctrlKey && !event.metaKey && !event.altKey;
      if (alone && ask(event.key)) event.preventDefault(); // or it is typed into the field that opens
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  });
}
