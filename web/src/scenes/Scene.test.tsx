// @vitest-environment jsdom
import { act, cleanup, fireEvent, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { show } from '../testing/room';
import { Scene } from './Scene';
import { useScenesAhead } from './useScene';

const move = (text: string, mind = '') => ({
  text,
  mind,
  shapes: [{ path: 'M0.0 0.0L9.0 9.0', fill: 'colour', pen: 'line' }],
  words: [{ x: 10, y: 20, text: 'above', tone: 'accent', anchor: 'start', size: 13 }],
});

function Ahead({ of }: { of: string[] }) {
  useScenesAhead(of);
  return null;
}

describe('a scene', () => {
  beforeEach(() => {
    const scene = { key: 'k', title: 'Fill it', width: 200, height: 210 };
    const moves = [move('Acid first.'), move('Water then.', 'No bubble.'), move('Turn it.')];
    vi.stubGlobal('fetch', async () => Response.json({ ...scene, moves }));
  });
  afterEach(() => {
    cleanup();
    vi.useRealTimers();
  });

  it('shows its moves with their words and what goes wrong', async () => {
    show(<Scene of="k" colour="#2374A8" />);
    expect(await screen.findByText('Acid first.')).toBeTruthy();
    expect(screen.getByText('No bubble.')).toBeTruthy();
    expect(screen.getAllByRole('img', { name: 'above' })).toHaveLength(3);
  });

  it('is asked for ahead, each once and not at once', async () => {
    vi.useFakeTimers();
    const asked: string[] = [];
    vi.stubGlobal('fetch', async (request: Request) => {
      asked.push(new URL(request.url).pathname);
      return Response.json({ key: 'k', title: 'Fill it', width: 200, height: 210, moves: [] });
    });
    show(<Ahead of={['ready', 'pipette', '', 'ready']} />);
    await act(() => vi.advanceTimersByTimeAsync(3000));
    expect(asked).toEqual([]);
    await act(() => vi.advanceTimersByTimeAsync(3000));
    expect(asked).toEqual(['/api/scenes/ready', '/api/scenes/pipette']);
  });

  it('is gone through by keys and by touch', async () => {
    show(<Scene of="k" colour="#2374A8" />);
    await screen.findByText('1 of 3');
    fireEvent.keyDown(screen.getByRole('group', { name: 'Fill it' }), { key: 'ArrowRight' });
    expect(screen.getByText('2 of 3')).toBeTruthy();
    await userEvent.click(screen.getByText('Turn it.'));
    expect(screen.getByText('3 of 3')).toBeTruthy();
    fireEvent.keyDown(screen.getByRole('group', { name: 'Fill it' }), { key: 'ArrowRight' });
    expect(screen.getByText('3 of 3')).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'The move before' }));
    expect(screen.getByText('2 of 3')).toBeTruthy();
  });

  it('plays by itself to the end, and stops where somebody takes it in hand', async () => {
    show(<Scene of="k" colour="#2374A8" />);
    await screen.findByText('1 of 3');
    vi.useFakeTimers({ shouldAdvanceTime: true });
    fireEvent.click(screen.getByRole('button', { name: 'Play' }));
    await act(() => vi.advanceTimersByTimeAsync(4100));
    expect(screen.getByText('2 of 3')).toBeTruthy();
    await act(() => vi.advanceTimersByTimeAsync(4100));
    await act(() => vi.advanceTimersByTimeAsync(4100));
    expect(screen.getByText('3 of 3')).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Play' })).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Play' }));
    expect(screen.getByText('1 of 3')).toBeTruthy();
    fireEvent.keyDown(screen.getByRole('group', { name: 'Fill it' }), { key: 'ArrowRight' });
    expect(screen.getByRole('button', { name: 'Play' })).toBeTruthy();
  });
});
