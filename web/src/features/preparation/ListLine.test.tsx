// @vitest-environment jsdom
import { cleanup, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, expect, it, vi } from 'vitest';
import { ListLine } from './ListLine';

afterEach(cleanup);

it('is ticked at once, and goes back where that could not be kept', async () => {
  let fail: (why: Error) => void = () => undefined;
  const onTick = vi.fn(() => new Promise((_, reject: (why: Error) => void) => (fail = reject)));
  render(<ListLine title="Acid" amount="1 L" ready={false} onTick={onTick} />);
  const box = screen.getByRole<HTMLInputElement>('checkbox', { name: 'Acid' });
  await userEvent.click(box);
  expect(box.checked).toBe(true);
  expect(onTick).toHaveBeenCalledWith(true);
  fail(new Error('no network'));
  await waitFor(() => expect(box.checked).toBe(false));
});

it('cannot be ticked where nothing is prepared any more', () => {
  render(<ListLine title="Acid" amount="1 L" ready={true} />);
  expect(screen.getByRole<HTMLInputElement>('checkbox').disabled).toBe(true);
});
