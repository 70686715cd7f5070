import { useEffect, useRef } from 'react';

const TOGETHER = 800; // ms

/**
 * Choices by digit: 2 goes to the second, Enter takes it. The first has the focus from the beginning, if it is `ready`.
 * A digit alone chooses nothing: who types a reading too early writes nothing wrong. Two digits in quick succession are
 * one number, where there are so many.
 */
export function useChoiceKeys(ready: boolean) {
  const around = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const all = () => around.current?.querySelectorAll<HTMLElement>('[data-choice]') ?? [];
    const go = (place: number) => all()[place]?.focus({ preventScroll: true });
    let last = { digit: '', at: 0 };
    if (ready) go(0);
    const onKey = (event: KeyboardEvent) => {
      const typing = event.target instanceof HTMLInputElement || event.target instanceof HTMLTextAreaElement;
      if (typing || !/^\d$/.test(event.key) || event.ctrlKey || event.metaKey || event.altKey) return;
      const both = Number((event.timeStamp - last.at < TOGETHER ? last.digit : '') + event.key);
      go((both <= all().length ? both : Number(event.key)) - 1);
      last = { digit: event.key, at: event.timeStamp };
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [ready]);
  return around;
}
