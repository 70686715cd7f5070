import { useLayoutEffect, useRef, useState, type KeyboardEvent } from 'react';
import type { Shapes } from '../../api/client';
import type { Draft, Keep } from '../../queue/store';
import { offerOf, partOf, standing, toolOf, type Bench, type Task } from './hand';
import { useStrayDigits } from './useStrayDigits';
import { useTry } from './useTry';

export interface ReadingProps {
  bench: Bench;
  task: Task;
  colour: string;
  online: boolean;
  pending: Draft[];
  onKeep: Keep;
  onLetter: (letter: string) => boolean;
  typedAhead: () => string;
}

/** A reading while it is typed: its text, what it is worth, and when it may be kept. */
export function useReading({ bench, task, pending, onKeep, onLetter, typedAhead }: ReadingProps) {
  const [text, setText] = useState(typedAhead);
  const [reason, setReason] = useState('');
  const [slip, setSlip] = useState('');
  const field = useRef<HTMLInputElement>(null);
  // Before the browser paints: who types on at once must not lose a digit.
  useLayoutEffect(() => field.current?.focus({ preventScroll: true }), []);
  const type = (key: string) => setText((now) => now + key);
  useStrayDigits((digit) => {
    type(digit);
    field.current?.focus({ preventScroll: true });
  });
  const tool = toolOf(bench, task.key);
  const offer = offerOf(bench, task);
  const there = standing(bench, task);
  const corrected = task.kind === 'own' ? undefined : there; // own answers simply begin again
  const verdict = useTry(bench, task, text, pending);
  const ready = text.trim() !== '' && !verdict?.refused && (!corrected || reason.trim() !== '');
  const keep = () => {
    if (ready)
      onKeep(text.trim(), { ...(slip && { slip }), ...(corrected && { supersedes: corrected.id, reason }) });
  };
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.key === 'Enter') {
      event.preventDefault();
      // what is offered is written first and looked at: a second Enter keeps it
      if (text === '' && offer && !event.repeat) setText(offer.text);
      else keep();
    } else if (text === '' && event.key.length === 1 && onLetter(event.key)) event.preventDefault();
  };
  return {
    text,
    setText,
    take: (shown: Shapes['FromDevice']) => {
      setText(shown.text);
      setSlip(shown.slip);
    },
    reason,
    setReason,
    type,
    erase: () => setText((now) => now.slice(0, -1)),
    field,
    tool,
    offer,
    unit: tool ? (partOf(bench, task.key)?.unit ?? '') : unitWithoutTool(bench, task),
    sign: signOf(task, tool),
    corrected,
    verdict,
    ready,
    keep,
    onKeyDown,
  };
}

export type Reading = ReturnType<typeof useReading>;

/** The sign that such a number may have. */
const signOf = (task: Task, tool: Shapes['Instrument'] | undefined): '-' | '±' | undefined =>
  task.kind === 'bottle' ? '±' : Number(tool?.low ?? 0) < 0 ? '-' : undefined;

/** The unit of an own answer, or of what stands on a bottle. */
const unitWithoutTool = (bench: Bench, task: Task) =>
  task.unit || (bench.evaluation.bench.find((quantity) => quantity.key === task.key)?.shown.unit ?? '');
