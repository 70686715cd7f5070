// @vitest-environment jsdom
import { cleanup, screen } from '@testing-library/react';
import { afterEach, expect, it } from 'vitest';
import { Refusal } from '../../api/client';
import { show } from '../../testing/room';
import { standIn } from '../../time/time';
import { Behind } from './Behind';

afterEach(cleanup);

it('says since when a room that stands still is not as it is now, and why', () => {
  standIn('UTC');
  const long = Date.parse('2026-03-02T12:00:00Z');
  show(<Behind since={long} error={null} />);
  screen.getByText(/as it was at 12:00\./);
  screen.getByText(/Nothing has come from the server since/);
  cleanup();
  show(<Behind since={long} error={new Refusal(['Sign in again.'], 403)} />);
  screen.getByText(/Sign in again\./);
});

it('is silent while answers come, and before the first one', () => {
  for (const since of [Date.now() - 8000, 0]) {
    const { container } = show(<Behind since={since} error={null} />);
    expect(container.textContent).toBe('');
    cleanup();
  }
});
