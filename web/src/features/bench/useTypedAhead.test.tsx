// @vitest-environment jsdom
import { cleanup, renderHook } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it } from 'vitest';
import { useTypedAhead } from './useTypedAhead';

/** A place in hand, and a keep that lasts until it is let go. */
function atPlace() {
  const { result, rerender } = renderHook((place: string) => useTypedAhead(place), { initialProps: 'tick' });
  let letGo = () => {};
  const kept = new Promise<null>((resolve) => {
    letGo = () => resolve(null);
  });
  return { at: () => result.current, rerender, kept, letGo: () => letGo() };
}

describe('what is typed between two things in hand', () => {
  afterEach(cleanup);

  it('is held while the one before is being kept, without its Enter', async () => {
    const { at, kept } = atPlace();
    at().begin(kept);
    await userEvent.keyboard('31.{Enter}48x');
    expect(at().typed()).toBe('31.48');
  });

  it('is left alone before and after', async () => {
    const { at, kept, letGo } = atPlace();
    await userEvent.keyboard('7');
    at().begin(kept);
    letGo();
    await kept;
    await userEvent.keyboard('8');
    expect(at().typed()).toBe('');
  });

  it('goes to nobody when the next thing in hand does not take it', async () => {
    const { at, rerender, kept } = atPlace();
    at().begin(kept);
    await userEvent.keyboard('3');
    rerender('choice');
    await userEvent.keyboard('4');
    expect(at().typed()).toBe('');
  });
});
