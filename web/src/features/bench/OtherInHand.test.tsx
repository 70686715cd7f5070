// @vitest-environment jsdom
import { cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { ObservationInHand } from './OtherInHand';
import type { Bench, Task } from './hand';

const TASK = { key: 'end_point', trial: 1, index: null, detail: 'The first pink that stays.' } as Task;
const CHOICES = [
  { key: 'held', label: 'The colour held' },
  { key: 'overshot', label: 'Overshot' },
];
const bench = (entries: object[], until: string[] = []) =>
  ({ entries, parts: [{ key: 'end_point', choices: CHOICES, until }] }) as unknown as Bench;

function inHand(entries: object[] = [], until: string[] = []) {
  const onKeep = vi.fn();
  render(<ObservationInHand bench={bench(entries, until)} task={TASK} onKeep={onKeep} />);
  return onKeep;
}

describe('something seen', () => {
  afterEach(cleanup);

  it('has the usual choice under Enter', async () => {
    const onKeep = inHand();
    await userEvent.keyboard('{Enter}');
    expect(onKeep).toHaveBeenCalledExactlyOnceWith('held', null);
  });

  it('goes to a choice by its digit, and writes nothing before Enter', async () => {
    const onKeep = inHand();
    await userEvent.keyboard('2');
    expect(screen.getByRole('button', { name: 'Overshot' })).toBe(document.activeElement);
    expect(onKeep).not.toHaveBeenCalled();
    await userEvent.keyboard('{Enter}');
    expect(onKeep).toHaveBeenCalledExactlyOnceWith('overshot', null);
  });

  it('stays where it is at a digit that no choice has', async () => {
    const onKeep = inHand();
    await userEvent.keyboard('721.64');
    expect(screen.getByRole('button', { name: 'The colour held' })).toBe(document.activeElement);
    expect(onKeep).not.toHaveBeenCalled();
  });

  it('corrects only with a reason', async () => {
    const onKeep = inHand([{ key: 'end_point', trial: 1, index: null, id: 'a', text: 'held' }]);
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
