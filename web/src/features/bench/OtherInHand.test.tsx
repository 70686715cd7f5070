// @vitest-environment jsdom
import { cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { ObservationInHand } from './OtherInHand';
import type { Bench, Task } from './hand';

const TASK = {
  key: 'end_point',
  trial: 1,
  index: null,
  detail: 'The first pink that stays.',
  done: false,
  labels: [] as string[],
} as Task;
const CHOICES = [
  { key: 'held', label: 'The colour held' },
  { key: 'overshot', label: 'Overshot' },
];
const bench = (entries: object[], until: string[] = []) =>
  ({
    entries,
    parts: [{ key: 'end_point', choices: CHOICES, until, usual: true }],
    evaluation: { findings: [] },
  }) as unknown as Bench;

function inHand(entries: object[] = [], until: string[] = [], done = false) {
  const onKeep = vi.fn();
  render(<ObservationInHand bench={bench(entries, until)} task={{ ...TASK, done }} onKeep={onKeep} />);
  return onKeep;
}

describe('something seen', () => {
  afterEach(cleanup);

  it('has the usual choice under Enter', async () => {
    const onKeep = inHand();
    await userEvent.keyboard('{Enter}');
    expect(onKeep).toHaveBeenCalledExactlyOnceWith('held', undefined);
  });

  it('has no usual choice where it is a question, and says its choices in the words of this trial', async () => {
    const onKeep = vi.fn();
    const asking = {
      entries: [],
      parts: [{ key: 'end_point', choices: CHOICES, until: [], asks: true }],
      evaluation: { findings: [] },
    } as unknown as Bench;
    const task = { ...TASK, labels: ['Zn → Zn²⁺ + 2 e⁻', 'Cu → Cu²⁺ + 2 e⁻'] };
    render(<ObservationInHand bench={asking} task={task} onKeep={onKeep} />);
    await userEvent.keyboard('{Enter}');
    expect(onKeep).not.toHaveBeenCalled();
    expect(screen.queryByText(/Enter alone/)).toBeNull();
    await userEvent.keyboard('2');
    expect(screen.getByRole('button', { name: 'Cu → Cu²⁺ + 2 e⁻' })).toBe(document.activeElement);
    await userEvent.keyboard('{Enter}');
    expect(onKeep).toHaveBeenCalledExactlyOnceWith('overshot', undefined);
  });

  it('has none either where something is merely seen; two digits are one number where there are so many', async () => {
    const onKeep = vi.fn();
    const choices = Array.from({ length: 13 }, (_, n) => ({ key: `pH${n + 1}`, label: `pH ${n + 1}` }));
    const chart = {
      entries: [],
      parts: [{ key: 'end_point', choices, until: [], usual: false }],
      evaluation: { findings: [] },
    } as unknown as Bench;
    render(<ObservationInHand bench={chart} task={TASK} onKeep={onKeep} />);
    await userEvent.keyboard('{Enter}');
    expect(onKeep).not.toHaveBeenCalled();
    await userEvent.keyboard('11{Enter}');
    expect(onKeep).toHaveBeenCalledExactlyOnceWith('pH11', undefined);
  });

  it('says why an answer does not fit, and takes another one without a reason', async () => {
    const onKeep = vi.fn();
    const wrong = { key: 'end_point', trial: 1, index: null };
    const asked = {
      entries: [{ ...wrong, id: 'a', text: 'overshot' }],
      parts: [{ key: 'end_point', choices: CHOICES, until: [], asks: true }],
      evaluation: { findings: [{ ...wrong, why: 'A positive sign: the black lead is negative.' }] },
    } as unknown as Bench;
    render(<ObservationInHand bench={asked} task={TASK} onKeep={onKeep} />);
    expect(screen.getByText(/A positive sign/)).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'The colour held' }));
    expect(onKeep).toHaveBeenCalledExactlyOnceWith('held', { supersedes: 'a', reason: 'Thought again' });
  });

  it('goes to a choice by its digit, and writes nothing before Enter', async () => {
    const onKeep = inHand();
    await userEvent.keyboard('2');
    expect(screen.getByRole('button', { name: 'Overshot' })).toBe(document.activeElement);
    expect(onKeep).not.toHaveBeenCalled();
    await userEvent.keyboard('{Enter}');
    expect(onKeep).toHaveBeenCalledExactlyOnceWith('overshot', undefined);
  });

  it('stays where it is at a digit that no choice has', async () => {
    const onKeep = inHand();
    await userEvent.keyboard('721.64');
    expect(screen.getByRole('button', { name: 'The colour held' })).toBe(document.activeElement);
    expect(onKeep).not.toHaveBeenCalled();
  });

  it('corrects only with a reason', async () => {
    const onKeep = inHand([{ key: 'end_point', trial: 1, index: null, id: 'a', text: 'held' }], [], true);
    expect(screen.getByRole('button', { name: 'Overshot' })).toHaveProperty('disabled', true);
    await userEvent.click(screen.getByRole('button', { name: 'Mistyped' }));
    await userEvent.click(screen.getByRole('button', { name: 'Overshot' }));
    expect(onKeep).toHaveBeenCalledExactlyOnceWith('overshot', {
      supersedes: 'a',
      reason: 'Mistyped',
    });
  });

  it('is looked at again until it is as it should be, without a reason', async () => {
    const onKeep = inHand([{ key: 'end_point', trial: 1, index: null, id: 'a', text: 'overshot' }], ['held']);
    await userEvent.keyboard('{Enter}');
    expect(onKeep).toHaveBeenCalledExactlyOnceWith('held', { supersedes: 'a', reason: 'Looked again' });
  });
});
