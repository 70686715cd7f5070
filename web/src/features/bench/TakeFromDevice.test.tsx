// @vitest-environment jsdom
import { cleanup, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { serve, show } from '../../testing/room';
import { TakeFromDevice } from './TakeFromDevice';

const SHOWN = { text: '18.4402', stable: false, simulated: true, slip: 'signed' };

const at = (onTake: (shown: typeof SHOWN) => void, kind = 'balance') =>
  show(<TakeFromDevice bench={7} reading="m" kind={kind} onTake={onTake} />);

describe('a reading from a device', () => {
  afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
  });

  it('goes into the field, and says while the device does not stand', async () => {
    serve({
      'GET /api/devices': ['balance'],
      'POST /api/benches/7/device': SHOWN,
    });
    const onTake = vi.fn();
    at(onTake);
    await userEvent.click(await screen.findByRole('button', { name: 'Take it from the balance' }));
    expect(await screen.findByText('It does not stand yet.')).toBeTruthy();
    expect(screen.getByText('a simulated device')).toBeTruthy();
    expect(onTake.mock.calls[0]?.[0]).toEqual(SHOWN);
  });

  it('is not offered where nothing of its kind is connected', async () => {
    serve({ 'GET /api/devices': ['thermometer'] });
    at(vi.fn());
    await Promise.resolve();
    expect(screen.queryByRole('button')).toBeNull();
  });
});
