import { describe, expect, it } from 'vitest';
import { axis, span, tickText } from './scale';

describe('an axis', () => {
  it('has round ticks inside its span', () => {
    expect(axis([0, 30], 0, 300).ticks).toEqual([0, 5, 10, 15, 20, 25, 30]);
    expect(axis([0.03, 0.23], 0, 1).ticks.map(tickText)).toEqual(['0.05', '0.1', '0.15', '0.2']);
  });
  it('puts values where they belong, upward too', () => {
    expect(axis([0, 10], 200, 0).at(2.5)).toBe(150);
  });
  it('gives a single value room', () => {
    const [low, high] = span([5, 5]);
    expect(low).toBeLessThan(5);
    expect(high).toBeGreaterThan(5);
  });
  it('writes a minus as people do', () => expect(tickText(-0.04)).toBe('−0.04'));
});
