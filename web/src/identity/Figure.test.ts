import { describe, expect, it } from 'vitest';
import { doubtfulFrom } from './Figure';

const split = (text: string, count: number) => {
  const at = doubtfulFrom(text, count);
  return [text.slice(0, at), text.slice(at)];
};

describe('the doubtful end of a number', () => {
  it.each([
    ['22.64', 1, '22.6', '4'],
    ['0.8726', 2, '0.87', '26'],
    ['20.', 1, '2', '0.'],
    ['8.5', 2, '', '8.5'],
    ['8.5', 5, '', '8.5'],
    ['−0.038', 1, '−0.03', '8'],
  ])('%s with %i in doubt', (text, count, sure, doubtful) => {
    expect(split(text, count)).toEqual([sure, doubtful]);
  });
});
