import { describe, expect, it } from 'vitest';
import { meniscusPath, scaleWindow } from './scale';

const burette = { low: 0, high: 50, graduation: 0.1, reach: 11, height: 430, numbersRun: 'down' };
const cylinder = { low: 0, high: 25, graduation: 0.5, reach: 11, height: 430, numbersRun: 'up' };

describe('a scale around a reading', () => {
  it('puts the reading in the middle and grows downward on a burette', () => {
    const window = scaleWindow(22.64, burette);
    expect(window.at(22.64)).toBeCloseTo(215);
    expect(window.at(22.7)).toBeGreaterThan(window.at(22.6));
  });

  it('grows upward on a cylinder', () => {
    const window = scaleWindow(12.5, cylinder);
    expect(window.at(13)).toBeLessThan(window.at(12));
  });

  it('labels whole numbers large, halves small, and nothing else', () => {
    const labels = scaleWindow(22.64, burette).marks.filter((mark) => mark.label);
    expect(labels.map((mark) => [mark.rank, mark.label])).toEqual([
      ['major', '22'],
      ['middle', '22.5'],
      ['major', '23'],
      ['middle', '23.5'],
    ]);
  });

  it('never shows marks that the glass does not have', () => {
    for (const value of [0, 0.03, 49.98, 50]) {
      const { from, to, marks } = scaleWindow(value, burette);
      expect(from).toBeGreaterThanOrEqual(0);
      expect(to).toBeLessThanOrEqual(50);
      expect(marks.every((mark) => mark.y >= -0.01 && mark.y <= 430.01)).toBe(true);
    }
  });

  it('has a mark at every graduation of its window', () => {
    const { from, to, marks } = scaleWindow(31.07, burette);
    expect(marks.length).toBe(Math.floor(to / 0.1 + 1e-6) - Math.ceil(from / 0.1 - 1e-6) + 1);
    const steps = marks.slice(1).map((mark, at) => mark.y - (marks[at]?.y ?? 0));
    for (const step of steps) expect(step).toBeCloseTo(430 / 22, 6);
  });
});

describe('a meniscus', () => {
  it('is lowest in the middle, where it is read', () => {
    // a quadratic curve reaches half way to its control point: y − sag at the walls, y in the middle
    expect(meniscusPath(0, 100, 50, 9)).toBe('M0 41 Q50 59 100 41');
  });

  it('writes at each mark the number that stands there, however fine the marks are', () => {
    for (const graduation of [0.1, 0.05, 0.02, 0.001, 0.0005, 2, 5]) {
      const { marks, at } = scaleWindow(graduation * 20, {
        low: 0, high: graduation * 1000, graduation, reach: 11, height: 430, numbersRun: 'down',
      }); // prettier-ignore
      const named = marks.filter((mark) => mark.label);
      expect(named.length).toBeGreaterThan(1);
      for (const mark of named) expect(at(Number(mark.label))).toBeCloseTo(mark.y, 6);
    }
  });
});
