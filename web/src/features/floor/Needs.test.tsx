// @vitest-environment jsdom
import { cleanup, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it } from 'vitest';
import type { Shapes } from '../../api/client';
import { serve, show } from '../../testing/room';
import { Needs } from './Needs';

const need = (more: Partial<Shapes['Need']>): Shapes['Need'] => ({
  id: 'n1', bench: 3, bench_id: 63, level: 'stop', what: 'The end reading is below the start.', text: 'Read it again.',
  word: 'Read me both numbers.', since: '2026-03-02T12:00:00Z', trial: 2, ...more,
}); // prettier-ignore
const floorOf = (...needs: Shapes['Need'][]) =>
  ({ session: { id: 9, state: 'open' }, needs }) as unknown as Shapes['Floor'];
const NOW = Date.parse('2026-03-02T12:03:00Z');
const answered = (asked: ReturnType<typeof serve>) =>
  asked
    .filter((asked) => asked.method === 'POST')
    .map((asked) => (asked.body as { entries: { key: string; text: string; trial?: number }[] }).entries);
const WRITTEN = { 'POST /api/benches/63/entries': { kept: [], bench: {} } };

describe('who needs the instructor', () => {
  afterEach(cleanup);

  it('says which bench, what and the words to say', () => {
    show(<Needs floor={floorOf(need({}))} now={NOW} />);
    const card = within(screen.getByRole('listitem'));
    expect(card.getByText(/Bench 3 · The end reading is below the start\./)).toBeTruthy();
    expect(card.getByText('“Read me both numbers.”')).toBeTruthy();
  });

  it('is marked seen under its own name', async () => {
    const asked = serve(WRITTEN);
    show(<Needs floor={floorOf(need({}))} now={NOW} />);
    await userEvent.click(screen.getByRole('button', { name: 'I’m on it' }));
    await waitFor(() => expect(answered(asked)[0]).toMatchObject([{ key: 'seen', text: 'n1' }]));
  });

  it('voids a trial for the very reason that was told, and marks the need seen', async () => {
    const asked = serve(WRITTEN);
    show(<Needs floor={floorOf(need({}))} now={NOW} />);
    await userEvent.click(screen.getByRole('button', { name: 'Void trial 2' }));
    await waitFor(() =>
      expect(answered(asked)[0]).toMatchObject([
        { key: 'void', text: 'The end reading is below the start.', trial: 2 },
        { key: 'seen', text: 'n1' },
      ]),
    );
  });

  it('answers a call with the words that are typed', async () => {
    const asked = serve(WRITTEN);
    show(<Needs floor={floorOf(need({ level: 'call', what: 'calls', trial: null, word: '' }))} now={NOW} />);
    expect(screen.getByText(/Bench 3 calls/)).toBeTruthy();
    expect(screen.queryByRole('button', { name: /Void/ })).toBeNull();
    await userEvent.click(screen.getByRole('button', { name: 'Answer' }));
    await userEvent.type(screen.getByRole('textbox', { name: 'Message to the bench' }), 'Two minutes');
    await userEvent.click(screen.getByRole('button', { name: 'Send' }));
    await waitFor(() =>
      expect(answered(asked)[0]).toMatchObject([{ key: 'message', text: 'Two minutes' }, { key: 'seen' }]),
    );
  });

  it('shows one kind alone, and says when nobody needs anything', async () => {
    const { rerender } = show(
      <Needs
        floor={floorOf(need({}), need({ id: 'n2', bench: 5, level: 'look', what: 'Quiet.' }))}
        now={NOW}
      />,
    );
    const [first] = screen.getAllByRole('button', { pressed: false });
    await userEvent.click(first as HTMLElement);
    expect(screen.getAllByRole('listitem')).toHaveLength(1);
    rerender(<div />);
    cleanup();
    show(<Needs floor={floorOf()} now={NOW} />);
    expect(screen.getByText('Nobody. Walk round and look.')).toBeTruthy();
  });

  it('says when nothing was sent', async () => {
    serve({ 'POST /api/benches/63/entries': { problems: ['The session is not open.'] } });
    show(<Needs floor={floorOf(need({}))} now={NOW} />);
    await userEvent.click(screen.getByRole('button', { name: 'I’m on it' }));
    expect(await screen.findByText(/The session is not open\./)).toBeTruthy();
  });
});
