/** Bench numbers, neighbours joined: 1–4, 7. */
export function runs(benches: number[]): string {
  const parts: [number, number][] = [];
  for (const bench of benches) {
    const last = parts.at(-1);
    if (last && last[1] === bench - 1) last[1] = bench;
    else parts.push([bench, bench]);
  }
  return parts.map(([from, to]) => (from === to ? `${from}` : `${from}–${to}`)).join(', ');
}
