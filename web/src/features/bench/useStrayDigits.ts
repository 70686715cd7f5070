import { useEffect, useEffectEvent } from 'react';

/** Digits typed while nothing has the focus belong to the reading in hand. */
export function useStrayDigits(take: (digit: string) => void) {
  const onDigit = useEffectEvent(take);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const stray = event.target === document.body && !event.ctrlKey && !event.metaKey;
      if (!stray || !/^[\d.,]$/.test(event.key)) return;
      event.preventDefault(); // else the field, focused now, would take it a second time
      onDigit(event.key);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
}
