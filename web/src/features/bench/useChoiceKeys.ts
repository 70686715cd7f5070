import { useEffect, useRef } from 'react';

/**
 * Choices by digit: 2 goes to the second, Enter takes it. The first has the focus from the beginning, if it is `ready`.
 * A digit alone chooses nothing: who types a reading too early writes nothing wrong.
 */
export function useChoiceKeys(ready: boolean) {
  const around = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const go = (place: number) =>
      around.current?.querySelectorAll<HTMLElement>('[data-choice]')[place]?.focus({ preventScroll: true });
    if (ready) go(0);
    const onKey = (event: KeyboardEvent) => {
      const typing = event.target instanceof HTMLInputElement || event.target instanceof HTMLTextAreaElement;
      if (!typing && /^[1-9]$/.test(event.key) && !event.ctrlKey && !event.metaKey && !event.altKey)
        go(Number(event.key) - 1);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [ready]);
  return around;
}
