// @vitest-environment jsdom
import { cleanup, fireEvent, screen } from '@testing-library/react';
import { afterEach, expect, test } from 'vitest';
import { serve, show } from '../../testing/room';
import { TaskCard } from './TaskCard';

afterEach(cleanup);

const LINE = {
  key: 'plan_line_1', kind: 'line' as const, text: 'Ribbon', unit: 'g', why: 'under 0.04 g', given: ['Metal: Magnesium, Mg'],
  choices: [], answer: '', reason: '', tries: 0, done: false, agrees: null, sentence: '', told: '',
}; // prettier-ignore
const CHOICE = {
  ...LINE, key: 'effect-oxide', kind: 'choice' as const, text: 'Oxide on the ribbon.', unit: '',
  choices: [{ key: 'high', label: 'Too large' }, { key: 'low', label: 'Too small' }],
}; // prettier-ignore

const card = (task: typeof LINE | typeof CHOICE, open = true) =>
  show(<TaskCard session={7} number={1} task={task} open={open} colour="#000" />);

test('a number goes with Enter, as it was typed', async () => {
  const asked = serve({ 'POST /api/sessions/7/prelab': { tasks: [] } });
  card(LINE);
  expect(screen.getByText('Metal: Magnesium, Mg')).toBeTruthy();
  const field = screen.getByLabelText('Your number');
  fireEvent.change(field, { target: { value: '38,1 mg' } });
  fireEvent.submit(screen.getByRole('form', { name: 'Ribbon' }));
  await screen.findByRole('button', { name: 'Is it so?' });
  expect(asked[0]?.body).toEqual({ task: 'plan_line_1', text: '38,1 mg', reason: '' });
});

test('a choice without a reason is a guess', () => {
  serve({});
  card(CHOICE);
  fireEvent.click(screen.getByLabelText('Too small'));
  const button = screen.getByRole<HTMLButtonElement>('button', { name: 'Is it so?' });
  expect(button.disabled).toBe(true);
  fireEvent.change(screen.getByLabelText('Because'), { target: { value: 'less metal' } });
  expect(button.disabled).toBe(false);
});

test('what is refused is said, and what was typed stays', async () => {
  serve({ 'POST /api/sessions/7/prelab': { problems: ['mL cannot be turned into g.'] } });
  card(LINE);
  fireEvent.change(screen.getByLabelText('Your number'), { target: { value: '5 mL' } });
  fireEvent.submit(screen.getByRole('form', { name: 'Ribbon' }));
  expect(await screen.findByText(/cannot be turned/)).toBeTruthy();
  expect(screen.getByLabelText<HTMLInputElement>('Your number').value).toBe('5 mL');
});

test('what is right, or over, is not answered again', () => {
  serve({});
  const right = {
    ...LINE,
    answer: '0.0381',
    tries: 1,
    done: true,
    agrees: true,
    sentence: 'Right.',
    told: 'x = 0.0381 g',
  };
  const { unmount } = card(right as unknown as typeof LINE);
  expect(screen.queryByRole('button')).toBeNull();
  expect(screen.getByText('x = 0.0381 g')).toBeTruthy();
  unmount();
  card(LINE, false);
  expect(screen.queryByRole('button')).toBeNull();
});
