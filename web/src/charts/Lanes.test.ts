import { expect, it } from 'vitest';
import { runs } from './Lanes';

it('joins neighbouring benches', () => {
  expect(runs([1, 2, 3, 4, 7])).toBe('1–4, 7');
  expect(runs([5])).toBe('5');
  expect(runs([])).toBe('');
});
