import { describe, expect, it } from 'vitest';
import type { Draft } from '../../queue/store';
import type { Bench } from './hand';
import { judgedHere } from './judgedHere';

const tool = { slug: 'burette', short: 'Burette 50 mL', low: '0', high: '50', unit: 'mL', decimals: 2 };
const delivered = {
  plus: ['end', 'stop'],
  minus: ['start', 'refilled'],
  sentence: 'The end is not above the start.',
};
const part = (key: string, optional = false) => ({
  key,
  optional,
  instrument: 'burette',
  differences: key === 'V' ? [] : [delivered],
});
const task = (key: string, done = false) => ({
  key,
  trial: 1,
  index: null,
  step: 'run',
  title: `Burette, ${key}`,
  done,
  optional: false,
  turn: null,
  labels: [],
});
const bench = {
  parts: [part('V'), part('start'), part('end'), part('stop', true), part('refilled', true)],
  instruments: [tool],
  entries: [{ key: 'start', trial: 2, index: null, text: '20.00' }],
  evaluation: { tasks: [task('start'), task('end'), { ...task('end'), trial: 2 }] },
} as unknown as Bench;

const judgement = (text: string, key = 'V', trial = 3, pending: Partial<Draft>[] = []) => {
  const verdict = judgedHere(bench, { key, trial, index: null }, text, pending as Draft[]);
  return verdict && `${verdict.level} ${verdict.text}`;
};

describe('without network', () => {
  it('knows what the instrument shows', () => {
    expect(judgement('21.78')).toMatch(/^keep/);
    expect(judgement('21,78')).toMatch(/^keep/);
    expect(judgement('21.8')).toMatch(/^look It is read to 2 decimals/);
    expect(judgement('21')).toMatch(/^look It is read to 2 decimals/);
    expect(judgement('21.785')).toMatch(/^look It shows 2 decimals, not 3/);
    expect(judgement('55.00')).toBe('look Burette 50 mL goes from 0 to 50 mL.');
    expect(judgement('-1.00')).toMatch(/goes from 0 to 50/);
  });

  it('says nothing of what only the server can read', () => {
    for (const text of ['', 'much', '21.78 mL', '1e1', '.', '2.1.7']) expect(judgement(text)).toBeNull();
    expect(judgement('21.78', 'other')).toBeNull();
  });

  it('knows which way a delivery runs, from what is on the record or waits', () => {
    expect(judgement('19.40', 'end', 2)).toBe('look The end is not above the start.');
    expect(judgement('20.00', 'end', 2)).toBe('look The end is not above the start.');
    expect(judgement('41.30', 'end', 2)).toMatch(/^keep/);
    expect(judgement('41.30', 'end', 2, [{ key: 'start', trial: 2, text: '45,10' }])).toMatch(
      /^look The end/,
    );
    const refilled = [
      { key: 'stop', trial: 2, text: '49.00' },
      { key: 'refilled', trial: 2, text: '1.00' },
    ];
    expect(judgement('3.20', 'end', 2, refilled)).toMatch(/^keep/);
  });

  it('knows what comes first in the step', () => {
    expect(judgement('21.78', 'end', 1)).toBe('look Before it comes: Burette, start.');
    expect(judgement('0.24', 'start', 1)).toMatch(/^keep/);
    expect(judgement('21.78', 'end', 1, [{ key: 'start', trial: 1, text: '0.24' }])).toMatch(/^keep/);
  });
});
