// @vitest-environment jsdom
import { cleanup, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { show } from '../../testing/room';
import { AllReports } from './AllReports';

describe('all reports of a class', () => {
  afterEach(cleanup);

  it('are printed one after the other, and then wait as an archive', async () => {
    const asked: string[] = [];
    vi.stubGlobal('fetch', async (path: string) => {
      asked.push(path);
      return new Response('%PDF', { status: 200 });
    });
    show(<AllReports session={9} benches={[1, 2, 3]} />);
    await userEvent.click(screen.getByRole('button', { name: 'Print all reports' }));
    const link = await screen.findByRole('link', { name: 'With all data, an archive' });
    expect(link.getAttribute('href')).toBe('/api/sessions/9/reports.zip');
    expect(asked).toEqual([1, 2, 3].map((bench) => `/api/benches/${bench}/files/report.pdf`));
  });

  it('can be stopped, and gone on with', async () => {
    vi.stubGlobal(
      'fetch',
      (_path: string, { signal }: { signal: AbortSignal }) =>
        new Promise((_, refuse) => signal.addEventListener('abort', () => refuse(new Error('stopped')))),
    );
    show(<AllReports session={9} benches={[1, 2, 3]} />);
    await userEvent.click(screen.getByRole('button', { name: 'Print all reports' }));
    expect((await screen.findByRole('status')).textContent).toContain('0 of 3 printed');
    await userEvent.click(screen.getByRole('button', { name: 'Stop' }));
    await waitFor(() =>
      expect(screen.getByRole('button', { name: 'Stopped at 0 of 3; go on' })).toBeTruthy(),
    );
  });
});
