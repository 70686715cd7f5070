/** Geometry of a graduated scale: pure numbers, no drawing. */

export interface Mark {
  /** Position along the scale, in drawing units from the top. */
  y: number;
  rank: 'major' | 'middle' | 'minor';
  label: string;
}

export interface ScaleWindow {
  from: number;
  to: number;
  marks: Mark[];
  /** Where a value stands. */
  at: (value: number) => number;
}

interface ScaleOf {
  low: number;
  high: number;
  graduation: number;
  /** How many graduations to show above and below. */
  reach: number;
  height: number;
  numbersRun: string;
}

/** The part of a scale around `value`, with its marks. Numbers that run down grow towards the bottom. */
export function scaleWindow(value: number, of: ScaleOf): ScaleWindow {
  const span = Math.min(2 * of.reach * of.graduation, of.high - of.low);
  const from = Math.min(Math.max(value - span / 2, of.low), of.high - span);
  const to = from + span;
  const down = of.numbersRun !== 'up';
  const at = (v: number) => ((down ? v - from : to - v) / span) * of.height;
  const first = Math.ceil(from / of.graduation - 1e-6);
  const last = Math.floor(to / of.graduation + 1e-6);
  const marks: Mark[] = [];
  for (let step = first; step <= last; step++) {
    const rank = step % 10 === 0 ? 'major' : step % 5 === 0 ? 'middle' : 'minor';
    const stands = step * of.graduation;
    const named = rank === 'major' || (rank === 'middle' && of.graduation < 1);
    const label = named ? trimmed(stands) : '';
    marks.push({ y: at(stands), rank, label });
  }
  return { from, to, marks, at };
}

/** 0.30000000000000004 is 0.3, and 0.25 is 0.25: a scale never carries a number that is not at its mark. */
const trimmed = (value: number) => String(Number(value.toPrecision(9)));

/** A meniscus: lowest (or highest) in the middle, where it is read. */
export function meniscusPath(left: number, right: number, y: number, sag: number): string {
  const edge = y - sag;
  const middle = (left + right) / 2;
  return `M${left} ${edge} Q${middle} ${y + sag} ${right} ${edge}`;
}
