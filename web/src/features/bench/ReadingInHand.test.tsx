// @vitest-environment jsdom
import { cleanup, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { serve, show } from '../../testing/room';
import type { Bench, Task } from './hand';
import { ReadingInHand } from './ReadingInHand';

const TASK = {
  kind: 'reading', key: 'V_end', name: 'V_end', trial: 1, index: null, step: 'run', title: 'Burette, end, trial 1',
  row_title: 'Burette, end, trial 1', lead: '', then: '', aside: 'Trial 1', detail: 'Read at the lowest point.',
  done: false, optional: false, offer: '', turn: null, labels: [], unit: '',
} satisfies Task; // prettier-ignore
const TOOL = {
  slug: 'burette', short: 'Burette 25 mL', kind: 'burette', unit: 'mL', decimals: 2, low: '0', high: '25',
  graduation: '0.1', numbers_run: 'down', digital: false, meniscus: 'bottom', scales: [], corrections: [],
}; // prettier-ignore
const BENCH = {
  id: 7,
  parts: [{ key: 'V_end', unit: 'mL', instrument: 'burette', beside: '', differences: [] }],
  instruments: [TOOL],
  entries: [],
  read_before: [],
  evaluation: { results: [], bench: [], tasks: [TASK], hand: TASK, findings: [] },
} as unknown as Bench;
const KEEP = { level: 'keep', lead: 'Keep.', text: 'Delivered 22.4 mL.', suggest: '', refused: false };
const MISSING = {
  level: 'look',
  lead: 'Look again.',
  text: '22.4 on a burette: 22.40?',
  suggest: '22.40',
  refused: false,
};

function atHand(bench = BENCH, online = true, offer = '', ahead = '') {
  const onKeep = vi.fn();
  const onLetter = vi.fn((letter: string) => letter === 'h');
  show(
    <ReadingInHand
      {...{ bench, online, onKeep, onLetter }}
      typedAhead={() => ahead}
      task={{ ...TASK, offer }}
      colour="#246"
      pending={[]}
    />,
  );
  return { onKeep, onLetter, field: screen.getByRole('textbox', { name: /Burette, end, trial 1/ }) };
}

describe('the reading in hand', () => {
  beforeEach(() =>
    vi.stubGlobal('matchMedia', () => ({ matches: false, addEventListener() {}, removeEventListener() {} })),
  );
  afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
  });

  it('writes what is offered with one Enter, and keeps it only with a second', async () => {
    serve({ 'POST /api/benches/7/try': KEEP });
    const { onKeep, field } = atHand(BENCH, true, '12.50');
    await userEvent.keyboard('{Enter}');
    expect(field).toHaveProperty('value', '12.50');
    expect(onKeep).not.toHaveBeenCalled();
    await screen.findByText('Delivered 22.4 mL.');
    await userEvent.keyboard('{Enter}');
    expect(onKeep).toHaveBeenCalledExactlyOnceWith('12.50', {});
  });

  it('leaves what is offered alone when something else is read', async () => {
    serve({ 'POST /api/benches/7/try': KEEP });
    const { onKeep, field } = atHand(BENCH, true, '12.50');
    await userEvent.type(field, '12.10');
    await screen.findByText('Delivered 22.4 mL.');
    await userEvent.keyboard('{Enter}');
    expect(onKeep).toHaveBeenCalledExactlyOnceWith('12.10', {});
  });

  it('has the focus, says how it is read, and keeps what was typed with Enter', async () => {
    serve({ 'POST /api/benches/7/try': KEEP });
    const { onKeep, field } = atHand();
    expect(field).toBe(document.activeElement);
    expect(screen.getByText(/2 decimals, in mL/)).toBeTruthy();
    await userEvent.type(field, '22.40');
    await screen.findByText('Delivered 22.4 mL.');
    await userEvent.keyboard('{Enter}');
    expect(onKeep).toHaveBeenCalledWith('22.40', {});
  });

  it('offers what was read for another sample of this bench, where it is the same for all', async () => {
    serve({ 'POST /api/benches/7/try': KEEP });
    const standard = { ...TASK, trial: null, index: 2 };
    const before = [{ key: 'V_end', index: 2, text: '4.00', sample: 'Kettle A' }];
    const onKeep = vi.fn();
    show(
      <ReadingInHand
        bench={{ ...BENCH, read_before: before } as unknown as Bench}
        task={standard}
        colour="#246"
        online
        pending={[]}
        typedAhead={() => ''}
        onLetter={() => false}
        onKeep={onKeep}
      />,
    );
    await userEvent.click(screen.getByRole('button', { name: 'As for Kettle A: 4.00 (Enter)' }));
    expect(onKeep).not.toHaveBeenCalled();
    await screen.findByText('Delivered 22.4 mL.');
    await userEvent.keyboard('{Enter}');
    expect(onKeep).toHaveBeenCalledExactlyOnceWith('4.00', {});
  });

  it('begins with what was typed before it was there', async () => {
    const asked = serve({ 'POST /api/benches/7/try': KEEP });
    const { field } = atHand(BENCH, true, '', '31.');
    await userEvent.keyboard('48');
    expect(field).toHaveProperty('value', '31.48');
    await screen.findByText('Delivered 22.4 mL.');
    expect(asked.at(-1)?.body).toMatchObject({ text: '31.48' });
  });

  it('offers the digit that is missing', async () => {
    const asked = serve({ 'POST /api/benches/7/try': MISSING });
    const { field } = atHand();
    await userEvent.type(field, '22.4');
    await userEvent.click(await screen.findByRole('button', { name: 'Write 22.40' }));
    expect((field as HTMLInputElement).value).toBe('22.40');
    expect(asked[0]?.body).toEqual({ key: 'V_end', trial: 1, index: null, text: '22.4' });
  });

  it('is not kept while it is refused, nor when nothing is there', async () => {
    serve({
      'POST /api/benches/7/try': {
        ...KEEP,
        level: 'stop',
        lead: 'Cannot be kept.',
        text: 'No number.',
        refused: true,
      },
    });
    const { onKeep, field } = atHand();
    await userEvent.keyboard('{Enter}');
    await userEvent.type(field, '22..');
    await screen.findByText('No number.');
    await userEvent.keyboard('{Enter}');
    expect(onKeep).not.toHaveBeenCalled();
    expect(screen.getByRole('button', { name: 'Keep reading' })).toHaveProperty('disabled', true);
  });

  it('asks for a reason where something is written already, and points at what it corrects', async () => {
    serve({ 'POST /api/benches/7/try': KEEP });
    const there = { id: 'e1', key: 'V_end', trial: 1, index: null, text: '21.40', old: [], by_room: '' };
    const { onKeep, field } = atHand({ ...BENCH, entries: [there] } as unknown as Bench);
    expect(screen.getByText('21.40')).toBeTruthy();
    await userEvent.type(field, '22.40');
    await screen.findByText('Delivered 22.4 mL.');
    const keep = screen.getByRole('button', { name: 'Keep correction' });
    expect(keep).toHaveProperty('disabled', true);
    await userEvent.click(screen.getByRole('button', { name: 'Misread' }));
    await userEvent.click(keep);
    expect(onKeep).toHaveBeenCalledWith('22.40', { supersedes: 'e1', reason: 'Misread' });
  });

  it('says that it stays on the device without network, and judges it there', async () => {
    serve({});
    const { field } = atHand(BENCH, false);
    await userEvent.type(field, '22.4');
    expect(screen.getByText('No network.')).toBeTruthy();
    expect(await screen.findByText(/read to 2 decimals; a zero at the end counts/)).toBeTruthy();
  });

  it('takes a letter in the empty field for what it means at the bench', async () => {
    serve({});
    const { onLetter, field } = atHand();
    await userEvent.type(field, 'h');
    expect(onLetter).toHaveBeenCalledWith('h');
    expect((field as HTMLInputElement).value).toBe('');
  });
});
