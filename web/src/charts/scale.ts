/** A line of numbers laid out on a length of the page. */
export interface Axis {
  at: (value: number) => number;
  ticks: number[];
}

/** The span of values with a little air, widened where they are all the same. */
export function span(values: number[]): [number, number] {
  const low = Math.min(...values);
  const high = Math.max(...values);
  const air = (high - low || Math.abs(high) || 1) * 0.06;
  return [low - air, high + air];
}

/** An axis from `from` to `to` on the page, with about five round ticks, no closer than `least`. */
export function axis([low, high]: [number, number], from: number, to: number, least = 0): Axis {
  const step = Math.max(roundStep((high - low) / 5), least);
  const first = Math.ceil(low / step) * step;
  const ticks = Array.from(
    { length: Math.floor((high - first) / step + 1e-9) + 1 },
    (_, n) => first + n * step,
  );
  return { at: (value) => from + ((value - low) / (high - low)) * (to - from), ticks };
}

/** The nearest of 1, 2 and 5 times a power of ten. */
function roundStep(rough: number): number {
  const power = 10 ** Math.floor(Math.log10(rough));
  const lead = rough / power;
  return (lead < 1.5 ? 1 : lead < 2.8 ? 2 : lead < 7 ? 5 : 10) * power;
}

/** A tick's number without the dust of binary fractions. */
export const tickText = (value: number) => String(Number(value.toPrecision(6))).replace('-', '−');
