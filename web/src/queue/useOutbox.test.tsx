// @vitest-environment jsdom
import { notifyManager } from '@tanstack/react-query';
import { cleanup, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, expect, it, vi } from 'vitest';
import { useBench } from '../api/hooks';
import { serve, show } from '../testing/room';
import type { Kept } from './store';
import { useOutbox } from './useOutbox';

const device = vi.hoisted(() => new Map<string, unknown>());
vi.mock('./store', () => ({
  of: () => Promise.resolve([...device.values()]),
  keep: (bench: number, author: unknown, written: object) => {
    const draft = { id: 'a', trial: 1, index: null, image: '', slip: '', ...written };
    device.set('a', { id: 'a', bench, author, order: 1, draft, held: '' });
    return Promise.resolve(draft);
  },
  drop: (id: string) => new Promise((dropped) => setTimeout(() => dropped(device.delete(id)), 30)),
  hold: () => Promise.resolve(),
}));

afterEach(() => {
  cleanup();
  notifyManager.setScheduler((tell) => setTimeout(tell, 0));
});

/** What the person sees as next: `written` by what the server says or by what waits here, or else `open`. */
const seen: string[] = [];

function Bench({ entries }: { entries: { id: string }[] }) {
  const outbox = useOutbox(7, { id: 1, name: 'Sami' });
  const there = [...entries, ...outbox.pending].some((entry) => entry.id === 'a');
  seen.push(there ? 'written' : 'open');
  return (
    <>
      <button onClick={() => void outbox.write({ key: 'V_end', text: '21.8' })}>Keep</button>
      <p>{`${entries.length} on the server, ${outbox.pending.length} waiting`}</p>
    </>
  );
}

function Page() {
  const bench = useBench(7).data as { entries: Kept[] } | undefined;
  return bench ? <Bench entries={bench.entries} /> : null;
}

it('never takes a kept reading in hand again, however late the screen hears what the server answered', async () => {
  notifyManager.setScheduler((tell) => setTimeout(tell, 60)); // a device with much to do
  serve({
    'GET /api/benches/7': { entries: [] },
    'POST /api/benches/7/entries': {
      kept: [{ id: 'a', kept: true, problem: '' }],
      bench: { entries: [{ id: 'a' }] },
    },
  });
  show(<Page />);
  await userEvent.click(await screen.findByRole('button', { name: 'Keep' }));
  await screen.findByText('1 on the server, 0 waiting');
  expect(seen.slice(seen.indexOf('written'))).not.toContain('open');
});
