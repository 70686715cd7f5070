// @vitest-environment jsdom
import { cleanup, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, expect, test } from 'vitest';
import type { Shapes } from '../../../api/client';
import { serve, show } from '../../../testing/room';
import type { Task } from '../hand';
import { WorkedHere } from './WorkedHere';

afterEach(cleanup);

const TASK = { key: 'V_start', trial: 1, index: null } as Task;

const seen = (done: number, text: string): Shapes['Worked'] => ({
  done,
  view: {
    title: 'the burette', width: 200, height: 210, shapes: [], words: [], shows: '', eye: 0, said: text,
    tool: { digital: false, low: '0', high: '50' } as Shapes['Instrument'],
    controls: [{ key: 'drip', label: 'Some drops to waste', usual: true }],
  },
}); // prettier-ignore

test('pressed faster than the answers come, each thing is done once and in order', async () => {
  const asked: unknown[] = [];
  let done = 0;
  serve({
    'GET /api/benches/7/worked': () => seen(0, ''),
    'POST /api/benches/7/worked': (body: unknown) => {
      asked.push(body);
      done += 1;
      return seen(done, `${done} drops`);
    },
  });
  show(<WorkedHere bench={7} task={TASK} colour="#123" />);
  const button = await screen.findByRole('button', { name: 'Some drops to waste' });
  const user = userEvent.setup();
  await user.click(button);
  await user.click(button);
  await user.click(button);
  await waitFor(() => expect(screen.getByLabelText('What happened').textContent).toBe('3 drops'));
  expect(asked.map((body) => (body as { number: number }).number)).toEqual([1, 2, 3]);
  expect(asked[0]).toMatchObject({ key: 'V_start', trial: 1, do: 'drip' });
});

test('the eye has to find the height of the level: then the ring of a mark is one line', async () => {
  const tool = {
    low: '0',
    high: '50',
    graduation: '0.1',
    numbers_run: 'down',
    meniscus: 'bottom',
    scales: [],
  };
  const view = { ...seen(0, '').view, shows: '23.64', eye: 0.6, tool };
  serve({ 'GET /api/benches/7/worked': { done: 0, view } });
  const { container } = show(<WorkedHere bench={7} task={TASK} colour="#123" />);
  const lower = await screen.findByRole('button', { name: 'Eye lower' });
  const ring = () => Number(container.querySelector('ellipse')?.getAttribute('ry'));
  const open = ring();
  await userEvent.click(lower);
  expect(ring()).toBeCloseTo(open / 2, 5);
  await userEvent.click(lower);
  expect(ring()).toBe(0.5);
});
