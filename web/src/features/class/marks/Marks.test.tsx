// @vitest-environment jsdom
import { cleanup, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it } from 'vitest';
import { serve, show } from '../../../testing/room';
import { Marks } from './Marks';
import { added, asRubric, typed } from './rubric';

const RUBRIC = {
  name: 'Ours', total: 6,
  criteria: [
    { kind: 'accuracy', points: 4, by: 'percent', full: 1, none: 5 },
    { kind: 'conclusion', points: 2, by: 'percent', full: 1, none: 5 },
  ],
} as const; // prettier-ignore
const line = (kind: string, label: string, proposed: number | null, most: number) => ({
  kind, label, proposed, decided: null, most, reasons: [`Why ${kind}.`], note: '',
}); // prettier-ignore
const bench = (number: number) => ({
  bench: 100 + number, number, sample: '', team: ['A Student'], points: 4, most: 6, to_read: true,
  lines: [line('accuracy', 'Accuracy', 4, 4), line('conclusion', 'Conclusion', null, 2)],
  answers: ['Why rinse? — Because.'],
}); // prettier-ignore
const MARKS = {
  session: { id: 9 }, rubric: RUBRIC, rubrics: [{ id: 0, rubric: RUBRIC }], released: false,
  benches: [bench(1), bench(2)],
}; // prettier-ignore
const sheet = () => show(<Marks session={MARKS.session as never} />);

describe('marks', () => {
  afterEach(cleanup);

  it('show what is missing at a glance, and a number with Enter decides', async () => {
    const asked = serve({ 'GET /api/sessions/9/marks': MARKS, 'PUT /api/benches/101/marks': MARKS });
    sheet();
    await userEvent.click(await screen.findByRole('button', { name: /^1/, expanded: false }));
    expect(screen.getByText('Why rinse? — Because.')).toBeTruthy();
    const field = screen.getByRole('textbox', { name: 'Conclusion' });
    await userEvent.type(field, '1,5{Enter}');
    await waitFor(() => expect(asked.some((asked) => asked.method === 'PUT')).toBe(true));
    expect(asked.find((asked) => asked.method === 'PUT')?.body).toEqual({
      kind: 'conclusion',
      points: 1.5,
      note: '',
    });
  });

  it('go on to the next bench with one key', async () => {
    serve({ 'GET /api/sessions/9/marks': MARKS });
    sheet();
    await userEvent.click(await screen.findByRole('button', { name: /^1/, expanded: false }));
    await userEvent.keyboard('{PageDown}');
    expect(screen.getByRole('button', { name: /^2/, expanded: true })).toBeTruthy();
    await userEvent.keyboard('{PageDown}');
    expect(screen.getByRole('button', { name: /^2/, expanded: true })).toBeTruthy();
  });

  it('begin with a rubric to be chosen', async () => {
    const asked = serve({
      'GET /api/sessions/9/marks': { ...MARKS, rubric: null, benches: [] },
      'PUT /api/sessions/9/marks': MARKS,
    });
    sheet();
    await userEvent.click(await screen.findByRole('button', { name: 'Mark by it' }));
    expect(await screen.findByText(/2 of 2 wait for you/)).toBeTruthy();
    expect(asked.at(-1)?.body).toEqual({ rubric: 0 });
  });
});

describe('a rubric as it is typed', () => {
  it('leaves out what has no points, reads a comma, and tells the sum', () => {
    const form = typed(RUBRIC as never);
    const changed = { ...form, points: { ...form.points, conclusion: '', own: '1,5' } };
    expect(added(changed)).toBe(5.5);
    expect(asRubric(changed).criteria.map((c) => [c.kind, c.points])).toEqual([
      ['accuracy', 4],
      ['own', 1.5],
    ]);
  });
});
