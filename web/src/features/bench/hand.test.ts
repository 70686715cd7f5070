import { describe, expect, it } from 'vitest';
import type { Draft } from '../../queue/store';
import { begun, sameSlot, taskInHand, urgent, type Bench, type Task } from './hand';

const task = (key: string, done: boolean, trial: number | null = 1): Task => ({
  kind: 'reading',
  key,
  name: key,
  trial,
  index: null,
  step: key,
  title: key,
  row_title: `${key} {row}`,
  lead: '',
  then: '',
  aside: '',
  detail: '',
  done,
  optional: false,
  turn: null,
  labels: [],
  unit: '',
  offer: '',
});
const draft = (key: string, trial: number | null = 1, written_at = '2026-03-02T12:00:00Z'): Draft => ({
  id: key,
  key,
  text: '1.00',
  trial,
  index: null,
  written_at,
  supersedes: null,
  reason: '',
  image: '',
  slip: '',
});
const FINISHED: Task = { ...task('', true, null), kind: 'finished' };

function bench(tasks: Task[], extra: object = {}): Bench {
  const hand = tasks.find((task) => !task.done) ?? FINISHED;
  return { evaluation: { tasks, hand, findings: [], ...extra } } as unknown as Bench;
}

describe('the task in hand', () => {
  const tasks = [task('V_start', true), task('end_point', false), task('V_end', false), task('V_stop', true)];

  it('is the first that is not done', () => {
    expect(taskInHand(bench(tasks), null, []).key).toBe('end_point');
  });

  it('goes on at once when an entry waits to be sent', () => {
    expect(taskInHand(bench(tasks), null, [draft('end_point')]).key).toBe('V_end');
  });

  it('does not take an entry of another trial for it', () => {
    expect(taskInHand(bench(tasks), null, [draft('end_point', 2)]).key).toBe('end_point');
  });

  it('is the one that was chosen, done or not', () => {
    expect(taskInHand(bench(tasks), { key: 'V_start', trial: 1, index: null }, []).key).toBe('V_start');
  });

  it('forgets a choice that no longer exists', () => {
    expect(taskInHand(bench(tasks), { key: 'V_start', trial: 9, index: null }, []).key).toBe('end_point');
  });

  it('goes on in a series until the server has looked at it', () => {
    const third = {
      ...task('m_heated', false),
      index: 3,
      title: 'After heating 3, crucible 1',
      row_title: 'After heating {row}, crucible 1',
    };
    const room = { ...bench([third, task('lid', false)]), parts: [] } as unknown as Bench;
    const next = taskInHand(room, null, [{ ...draft('m_heated'), index: 3 }]);
    expect([next.key, next.index, next.title]).toEqual(['m_heated', 4, 'After heating 4, crucible 1']);
  });

  it('begins the next row at its first reading, also when the others of this row are with the server', () => {
    const row = ['T_a', 'T_b', 't'].map((key) => ({
      ...task(key, key !== 't'),
      step: 'run',
      index: 1,
      row_title: `${key}, point {row}`,
    }));
    const room = { ...bench(row), parts: [] } as unknown as Bench;
    const next = taskInHand(room, null, [{ ...draft('t'), index: 1 }]);
    expect([next.key, next.index, next.title]).toEqual(['T_a', 2, 'T_a, point 2']);
  });

  it('goes round in a cycle until the server has looked at it', () => {
    const heat = (turn: number): Task => ({
      ...task('step.heat', false),
      kind: 'tick',
      turn,
      index: turn > 1 ? turn : null,
      row_title: 'Heat, round {row}',
    });
    const weigh = (turn: number): Task => ({ ...task('m_heated', false), turn, index: turn });
    const room = bench([task('m_before', false), heat(1), weigh(1), heat(2), weigh(2), task('lid', false)]);
    const waiting = [draft('m_before'), draft('step.heat'), { ...draft('m_heated'), index: 1 }];
    expect(taskInHand(room, null, waiting)).toMatchObject({ key: 'step.heat', index: 2 });
    waiting.push({ ...draft('step.heat'), index: 2 }, { ...draft('m_heated'), index: 2 });
    const third = { key: 'step.heat', index: 3, title: 'Heat, round 3' };
    expect(taskInHand(room, null, waiting)).toMatchObject(third);
    const known = [heat(1), weigh(1), heat(2)].map((task) => ({ ...task, done: true }));
    const there = bench([...known, weigh(2), task('lid', false)]);
    expect(taskInHand(there, null, [{ ...draft('m_heated'), index: 2 }])).toMatchObject(third);
  });

  it('goes through a curve pair by pair without the network', () => {
    const pair = ['V', 'E'].map((key) => ({
      ...task(key, false),
      step: 'curve',
      index: 1,
      title: `${key} 1, trial 1`,
    }));
    const parts = [
      { key: 'V', beside: '' },
      { key: 'E', beside: 'V' },
    ];
    const room = { ...bench([...pair, task('own', false)]), parts } as unknown as Bench;
    const at = (...trials: [string, number][]) => {
      const next = taskInHand(
        room,
        null,
        trials.map(([key, index]) => ({ ...draft(key), index })),
      );
      return `${next.key}${next.index}`;
    };
    expect(at(['V', 1])).toBe('E1');
    expect(at(['V', 1], ['E', 1])).toBe('V2');
    expect(at(['V', 1], ['E', 1], ['V', 2])).toBe('E2');
    expect(at(['V', 1], ['E', 1], ['V', 2], ['E', 2])).toBe('V3');
  });

  it('ends when everything is written', () => {
    expect(taskInHand(bench(tasks.map((task) => ({ ...task, done: true }))), null, []).kind).toBe('finished');
  });
});

describe('a timer', () => {
  const step = { turn: null, key: 'run', trial: 2, begun: 100 } as Parameters<typeof begun>[0];

  it('runs from what is on the record, or from what was begun here last', () => {
    expect(begun(step, [])).toBe(100);
    const here = [
      draft('timer.run', 2, '2026-03-02T12:00:00Z'),
      draft('timer.run', 2, '2026-03-02T12:05:00Z'),
    ];
    expect(begun(step, here)).toBe(Date.parse('2026-03-02T12:05:00Z') / 1000);
    expect(begun(step, [draft('timer.run', 1)])).toBe(100);
  });
});

describe('an urgent word', () => {
  it('is a stop about a reading, not a look', () => {
    const findings = [
      { level: 'look', key: 'V_end' },
      { level: 'stop', key: 'V_end', what: 'upside down?' },
    ];
    expect(urgent(bench([], { findings }))?.what).toBe('upside down?');
    expect(urgent(bench([], { findings: findings.slice(0, 1) }))).toBeUndefined();
  });
});

describe('slots', () => {
  it('are the same when key, trial and place are', () => {
    const one = { key: 'm_heated', trial: 1, index: 2 };
    expect(sameSlot(one, { ...one })).toBe(true);
    expect(sameSlot(one, { ...one, index: 3 })).toBe(false);
  });
});
