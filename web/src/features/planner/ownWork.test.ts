import { describe, expect, it } from 'vitest';
import { MOST_LINES, NO_OWN_WORK, withAllLines } from './ownWork';

const lines = (count: number) =>
  Array.from({ length: count }, (_, n) => ({ key: `q${n}`, label: '', unit: '', symbol: '' }) as never);
const waiting = { ...NO_OWN_WORK, shows: 'after_own' } as const;

describe('lines that wait for the student’s own', () => {
  it('are all worked out, until some are taken away', () => {
    expect(withAllLines(waiting, lines(3)).lines).toEqual(['q0', 'q1', 'q2']);
    expect(withAllLines({ ...waiting, lines: ['q1'] }, lines(3)).lines).toEqual(['q1']);
    expect(withAllLines(NO_OWN_WORK, lines(3)).lines).toEqual([]);
  });

  it('are the last of very many, which lead to the result', () => {
    const chosen = withAllLines(waiting, lines(MOST_LINES + 6)).lines;
    expect([chosen.length, chosen[0], chosen.at(-1)]).toEqual([MOST_LINES, 'q6', 'q29']);
  });
});
