// @vitest-environment jsdom
import { act, cleanup, render, screen } from '@testing-library/react';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { Settling } from './Settling';

beforeEach(() => vi.useFakeTimers());
afterEach(() => {
  cleanup();
  vi.useRealTimers();
});

it('counts down and then says to read', () => {
  render(<Settling seconds={5} />);
  expect(screen.getByText('Let it settle: 5 s')).toBeTruthy();
  act(() => void vi.advanceTimersByTime(3000));
  expect(screen.getByText('Let it settle: 2 s')).toBeTruthy();
  act(() => void vi.advanceTimersByTime(2200));
  expect(screen.getByText('Read it now')).toBeTruthy();
});
