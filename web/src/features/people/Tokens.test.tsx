// @vitest-environment jsdom
import { cleanup, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, expect, it } from 'vitest';
import { serve, show } from '../../testing/room';
import { Tokens } from './Tokens';

afterEach(cleanup);

it('tells a new token with what it is for, until it is ended', async () => {
  const old = { id: 3, name: 'Timetable', made_at: '2026-03-02T09:00:00Z', used_at: null };
  const made = { ...old, id: 4, name: 'Marks' };
  serve({
    'GET /api/tokens': [old],
    'POST /api/tokens': { secret: 'ct_secret', tokens: [made, old] },
    'DELETE /api/tokens/3': [made],
    'DELETE /api/tokens/4': [],
  });
  show(<Tokens />);
  await screen.findByText('Timetable');
  await userEvent.type(screen.getByLabelText('What it is for'), 'Marks');
  await userEvent.click(screen.getByRole('button', { name: 'Make a token' }));
  await screen.findByText('ct_secret');
  expect(screen.getByText(/For “Marks”/)).toBeTruthy();
  for (const end of screen.getAllByRole('button', { name: 'End it' }).slice(1)) await userEvent.click(end);
  await waitFor(() => expect(screen.queryByText('Timetable')).toBeNull());
  expect(screen.getByText('ct_secret')).toBeTruthy();
  await userEvent.click(screen.getByRole('button', { name: 'End it' }));
  await waitFor(() => expect(screen.queryByText('ct_secret')).toBeNull());
});
