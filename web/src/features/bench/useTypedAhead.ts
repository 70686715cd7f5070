import { useLayoutEffect, useRef } from 'react';

/**
 * What is typed between one keep and the next thing in hand belongs to the next: without it a slow device swallows the
 * first digits, and 31.482 stands there as 1.482. Enter means nothing then: it would keep the same thing twice.
 * `here` is the place in hand; what `begin` is given ends when what was kept is on the device.
 */
export function useTypedAhead(here: string): {
  begin: (kept: Promise<unknown>) => void;
  typed: () => string;
} {
  const from = useRef<string | null>(null);
  const typed = useRef('');
  // With the change on the screen itself: the reading there began with what was typed, later digits are its own.
  useLayoutEffect(() => {
    from.current = null;
    typed.current = '';
  }, [here]);
  useLayoutEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const digit = /^[\d.,]$/.test(event.key) && !event.ctrlKey && !event.metaKey && !event.altKey;
      if (from.current === null || (!digit && event.key !== 'Enter')) return;
      event.preventDefault();
      event.stopPropagation();
      if (digit) typed.current += event.key;
    };
    window.addEventListener('keydown', onKey, { capture: true });
    return () => window.removeEventListener('keydown', onKey, { capture: true });
  }, []);
  return {
    begin: (kept) => {
      const mine = (from.current = here);
      typed.current = '';
      const end = () => {
        if (from.current === mine) from.current = null;
      };
      void kept.then(end, end);
    },
    typed: () => typed.current,
  };
}
