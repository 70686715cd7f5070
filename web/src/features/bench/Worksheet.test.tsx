// @vitest-environment jsdom
import { cleanup, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, expect, it, vi } from 'vitest';
import { serve, show } from '../../testing/room';
import type { Bench, Task } from './hand';
import { Worksheet } from './Worksheet';

afterEach(cleanup);

const line = (name: string, title: string, trial: number | null): Task =>
  ({
    kind: 'own', key: `own.${name}`, name, trial, index: null, step: 'worksheet', title, row_title: title,
    lead: '', then: '', aside: '', detail: '', done: false, optional: false, offer: '', turn: null,
    labels: [], unit: 'mmol',
  }) satisfies Task; // prettier-ignore

const LINES = [line('n', 'Amount', 1), line('c', 'Concentration', 1), line('mean', 'Mean', null)];

const bench = (own: object[] = [], entries: object[] = []) =>
  ({
    id: 1,
    evaluation: { tasks: LINES, steps: [{ key: 'worksheet', trial: null, turn: null }], own, bench: [] },
    entries,
    parts: [],
    instruments: [],
    read_before: [],
  }) as unknown as Bench;

function sheet(at: number, shown: Bench = bench()) {
  const onKeep = vi.fn();
  const onChoose = vi.fn();
  serve({ 'POST /api/benches/1/try': null });
  show(
    <Worksheet
      bench={shown}
      task={LINES[at] as Task}
      colour="#246"
      online
      pending={[]}
      onKeep={onKeep}
      onLetter={() => false}
      typedAhead={() => ''}
      onChoose={onChoose}
    />,
  );
  return { onKeep, onChoose, field: screen.getByRole('textbox') };
}

it('shows every line of the step, those of a trial and those of all trials', () => {
  sheet(0);
  expect(screen.getAllByRole('listitem')).toHaveLength(3);
  expect(screen.getByText('Mean')).toBeTruthy();
});

it('is written with unit and power as people type them, and kept with Enter', async () => {
  const { onKeep, field } = sheet(1);
  await userEvent.type(field, '1.49e-3 mol{Enter}');
  expect(onKeep).toHaveBeenCalledWith('1.49e-3 mol', {});
});

it('goes to the line before and after with the arrows', async () => {
  const { onChoose, field } = sheet(1);
  await userEvent.type(field, '{ArrowUp}');
  expect(onChoose).toHaveBeenLastCalledWith(LINES[0]);
  await userEvent.type(field, '{ArrowDown}');
  expect(onChoose).toHaveBeenLastCalledWith(LINES[2]);
});

it('says of a line what may be told, and the line itself only where it came', () => {
  const wrong = { key: 'n', trial: 1, agrees: false, kind: 'slip', sentence: 'Not yet.', line: '' };
  sheet(1, bench([wrong], [{ key: 'own.n', trial: 1, index: null, text: '3.2 mmol' }]));
  expect(screen.getByText('Not yet.')).toBeTruthy();
  expect(screen.getByText('3.2 mmol')).toBeTruthy();
  expect(screen.queryByText(/=/)).toBeNull();
});

it('takes a line in hand that is touched', async () => {
  const { onChoose } = sheet(2);
  await userEvent.click(screen.getByRole('button', { name: /Amount/ }));
  expect(onChoose).toHaveBeenCalledWith(LINES[0]);
});
