// @vitest-environment jsdom
import { cleanup, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { afterEach, describe, expect, it } from 'vitest';
import type { Shapes } from '../../api/client';
import { show } from '../../testing/room';
import type { Entry } from './draft';
import { WorkshopContext, type Record_ } from './fields';
import { RecordFields } from './RecordFields';

const field = (name: string, kind: string, more: Partial<Shapes['FieldOut']> = {}): Shapes['FieldOut'] => ({
  name, label: name, kind, many: false, required: false, often: true, default: '', of: [], words: [], ...more,
}); // prettier-ignore
const record = (name: string, use: string, fields: Shapes['FieldOut'][], start = {}): Record_ => ({
  name, use, label: name, help: `What ${name} is for.`, fields, start,
}); // prettier-ignore
const WHENEVER = record(
  'whenever',
  'check',
  [field('code', 'text', { required: true }), field('condition', 'formula', { required: true })],
  { kind: 'whenever', code: '', condition: '' },
);
const SEEN = record('seen', 'check', [field('choice', 'text', { required: true })], {
  kind: 'seen',
  choice: '',
});
const METHOD = record('method', '', [
  field('title', 'text', { required: true }),
  field('hazards', 'long', { many: true }),
  field('version', 'number'),
  field('fixed', 'yes'),
  field('checks', 'word', { many: true, of: ['check'] }),
  field('waste', 'long', { often: false }),
]);

/** The editor of a record, and what the draft is after each change. */
function Editing({ first, seen }: { first: Entry; seen: (entry: Entry) => void }) {
  const [draft, setDraft] = useState(first);
  const change = (next: Entry) => {
    setDraft(next);
    seen(next);
  };
  const workshop = {
    draft,
    vocabulary: [METHOD, WHENEVER, SEEN],
    instruments: [],
    typeset: () => '',
    Fields: RecordFields,
  };
  return (
    <WorkshopContext value={workshop}>
      <RecordFields record={METHOD} entry={draft} onChange={change} />
    </WorkshopContext>
  );
}

function edit(first: Entry = {}) {
  let now = first;
  show(<Editing first={first} seen={(entry) => (now = entry)} />);
  return () => now;
}

const folded = (name: string) => screen.getByRole('button', { expanded: false, name: new RegExp(name) });

describe('the editor of an experiment', () => {
  afterEach(cleanup);

  it('keeps what is typed, and leaves out what is emptied and need not be there', async () => {
    const draft = edit({ title: 'Density' });
    await userEvent.type(screen.getByRole('textbox', { name: 'title' }), ' of a metal');
    expect(draft().title).toBe('Density of a metal');
    await userEvent.type(screen.getByRole('textbox', { name: 'version' }), '2');
    expect(draft().version).toBe(2);
    await userEvent.clear(screen.getByRole('textbox', { name: 'title' }));
    expect(draft().title).toBe('');
  });

  it('takes lines as a list', async () => {
    const draft = edit();
    await userEvent.type(
      screen.getByRole('textbox', { name: 'hazards, one in each line' }),
      'Goggles.{Enter}Gloves.',
    );
    expect(draft().hazards).toEqual(['Goggles.', 'Gloves.']);
  });

  it('keeps a number that is none as it was typed: the problem is told elsewhere', async () => {
    const draft = edit();
    await userEvent.type(screen.getByRole('textbox', { name: 'version' }), 'two');
    expect(draft().version).toBe('two');
  });

  it('adds a check with a condition of its own, opens it, and writes into it', async () => {
    const draft = edit();
    await userEvent.click(screen.getByRole('button', { name: 'Add …' }));
    await userEvent.click(within(screen.getByRole('menu')).getByText('whenever'));
    await userEvent.type(screen.getByRole('textbox', { name: 'condition' }), 'V_end < V_start');
    expect(draft().checks).toEqual([{ kind: 'whenever', code: '', condition: 'V_end < V_start' }]);
  });

  it('moves and removes records', async () => {
    const draft = edit({
      checks: [
        { kind: 'seen', choice: 'a' },
        { kind: 'whenever', code: 'b', condition: '' },
      ],
    });
    await userEvent.click(folded('whenever'));
    await userEvent.click(screen.getByRole('button', { name: 'Move up' }));
    expect((draft().checks as Entry[]).map((entry) => entry.kind)).toEqual(['whenever', 'seen']);
    await userEvent.click(folded('seen'));
    await userEvent.click(screen.getByRole('button', { name: 'Remove' }));
    expect((draft().checks as Entry[]).map((entry) => entry.kind)).toEqual(['whenever']);
  });

  it('shows what it does not understand, and loses none of it', async () => {
    const draft = edit({ title: 'x', colour: 'blue' });
    expect(screen.getByText(/not understood: colour/)).toBeTruthy();
    await userEvent.click(screen.getByRole('checkbox', { name: 'fixed' }));
    expect(draft()).toEqual({ title: 'x', colour: 'blue', fixed: true });
  });
});
