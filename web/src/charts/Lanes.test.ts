import { expect, it } from 'vitest';
import { apart } from './Lanes';
import { runs } from './runs';

it('leaves out what would stand on each other, but never the last', () => {
  expect(apart([0, 12, 13, 24, 58], 5)).toEqual([0, 12, 24, 58]);
  expect(apart([0, 55, 58], 5)).toEqual([0, 58]);
  expect(apart([], 5)).toEqual([]);
});

it('joins neighbouring benches', () => {
  expect(runs([1, 2, 3, 4, 7])).toBe('1–4, 7');
  expect(runs([5])).toBe('5');
  expect(runs([])).toBe('');
});
