import { describe, expect, it } from 'vitest';
import { halfHour, named } from './halfHour';
import type { Step } from './hand';

const step = (key: string, trial: number | null, minutes: number, more: Partial<Step> = {}): Step => ({
  key, trial, minutes, title: key, detail: '', scope: 'trial', state: 'ahead', cautions: [], photo: '', scene: '',
  trial_name: trial === null ? '' : `portion ${trial}`, trial_short: '', wait_label: '', wait_seconds: 0,
  begun: null, meanwhile: '', early: false, turn: null, ...more,
}); // prettier-ignore
const NOW = 1_000_000_000;

describe('the next half hour', () => {
  it('puts one step behind the other, and stops after half an hour', () => {
    const ahead = halfHour(
      [step('a', null, 0, { state: 'done' }), step('b', 1, 12), step('c', 1, 20), step('d', 1, 5)],
      [],
      NOW,
    );
    expect(ahead.map(({ step: { key }, from }) => [key, from])).toEqual([
      ['b', 0],
      ['c', 12],
    ]);
  });

  it('does in a wait what can be done for the next one, and does not count it twice', () => {
    const steps = [
      step('boil', 1, 2, { wait_seconds: 600, meanwhile: 'weigh' }),
      step('run', 1, 5),
      step('weigh', 2, 4),
      step('boil', 2, 2),
    ];
    const ahead = halfHour(steps, [], NOW);
    expect(ahead[0]?.meanwhile).toBe('weigh, portion 2');
    expect(ahead.map(({ step: place, from }) => [named(place), from])).toEqual([
      ['boil, portion 1', 0],
      ['run, portion 1', 12],
      ['boil, portion 2', 17],
    ]);
  });

  it('counts what is left of a wait that runs, also one whose start waits to be sent', () => {
    const sent = step('cool', 1, 0, { state: 'now', wait_seconds: 600, begun: NOW / 1000 - 240 });
    expect(halfHour([sent], [], NOW)[0]?.wait).toBe(6);
    const waiting = { ...sent, begun: null };
    const draft = {
      key: 'timer.cool',
      trial: 1,
      text: 'begun',
      written_at: new Date(NOW - 540_000).toISOString(),
    };
    expect(halfHour([waiting], [draft as never], NOW)[0]?.wait).toBe(1);
  });

  it('goes on with other work while an early step waits', () => {
    const early = step('dissolve', 1, 3, { wait_seconds: 600, early: true });
    expect(halfHour([early, step('standards', null, 20)], [], NOW).map(({ from }) => from)).toEqual([0, 3]);
  });

  it('leaves out what is over', () => {
    expect(halfHour([step('cool', 1, 0, { wait_seconds: 60, begun: NOW / 1000 - 90 })], [], NOW)).toEqual([]);
  });
});
