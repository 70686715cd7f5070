import { useEffect, useMemo, useState } from 'react';

/** Plain data as it stood when it had not changed for so many milliseconds: what is asked while somebody types. */
export function useSettled<T>(value: T, delay: number): T {
  const text = JSON.stringify(value);
  const [settled, setSettled] = useState(text);
  useEffect(() => {
    const timer = window.setTimeout(() => setSettled(text), delay);
    return () => window.clearTimeout(timer);
  }, [text, delay]);
  return useMemo(() => JSON.parse(settled) as T, [settled]);
}
