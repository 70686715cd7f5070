// @vitest-environment jsdom
import { cleanup, render, screen } from '@testing-library/react';
import { Suspense, useState } from 'react';
import { afterEach, expect, test } from 'vitest';
import { view } from './view';

afterEach(cleanup);

const Counted = ({ name }: { name: string }) => {
  const [first] = useState(name);
  return <p>{`${first}, now ${name}`}</p>;
};

const shown = (View: (props: { name: string }) => React.ReactNode, name: string) => (
  <Suspense fallback={<p>waiting</p>}>
    <View name={name} />
  </Suspense>
);

test('a view that was fetched before stands at once', async () => {
  const script = Promise.resolve({ Counted });
  const View = view(() => script, 'Counted');
  View.ahead();
  await script;
  await Promise.resolve();
  render(shown(View, 'one'));
  expect(screen.queryByText('waiting')).toBeNull();
  screen.getByText('one, now one');
});

test('one that is waited for stays the same when it is shown again', async () => {
  const View = view(async () => ({ Counted }), 'Counted');
  const { rerender } = render(shown(View, 'one'));
  screen.getByText('waiting');
  await screen.findByText('one, now one');
  rerender(shown(View, 'two'));
  screen.getByText('one, now two');
});

test('a script that does not come is asked for again when its view is wanted', async () => {
  let asked = 0;
  const load = async () => {
    asked += 1;
    if (asked === 1) throw new Error('no network');
    return { Counted };
  };
  const View = view(load, 'Counted');
  View.ahead();
  render(shown(View, 'one'));
  await screen.findByText('one, now one');
});
