import { describe, expect, it } from 'vitest';
import { Refusal } from '../api/client';
import { batch, sent } from './outbox';
import type { Draft } from './store';

const draft = (id: number, length = 0): Draft => ({
  id: String(id),
  key: 'photo',
  text: '',
  trial: null,
  index: null,
  written_at: '',
  supersedes: null,
  reason: '',
  slip: '',
  image: 'x'.repeat(length),
});

describe('a batch', () => {
  it('holds at most two hundred entries, in order', () => {
    const drafts = Array.from({ length: 250 }, (_, at) => draft(at));
    expect(batch(drafts).map((entry) => entry.id)).toEqual(drafts.slice(0, 200).map((draft) => draft.id));
  });

  it('ends before a request gets too long, but never holds nothing', () => {
    const drafts = [draft(1, 900_000), draft(2, 800_000), draft(3, 800_000)];
    expect(batch(drafts)).toHaveLength(2);
    expect(batch([draft(1, 1_900_000), draft(2, 10)])).toHaveLength(1);
  });
});

describe('sending', () => {
  const drafts = [draft(1), draft(2), draft(3)];
  const kept = (entries: Draft[]) => entries.map(({ id }) => ({ id, kept: true, problem: '' }));

  it('lets go only of what the server answered for by id', async () => {
    const { answers } = await sent(drafts, async (entries) => [
      ...kept(entries.slice(0, 2)),
      { id: 'something else', kept: true, problem: '' },
    ]);
    expect(answers.map((answer) => answer.id)).toEqual(['1', '2']);
  });

  it('keeps the one that cannot be read, and sends the others', async () => {
    const { answers, unread } = await sent(drafts, async (entries) => {
      if (entries.some((entry) => entry.id === '2')) throw new Refusal(['Not readable.'], 400);
      return kept(entries);
    });
    expect(answers.map((answer) => answer.id)).toEqual(['1', '3']);
    expect(unread).toEqual([{ id: '2', problem: 'Not readable.' }]);
  });

  it('holds nothing back when the server is busy, away, or somebody else is signed in', async () => {
    for (const status of [403, 409, 429, 500, 503])
      await expect(
        sent(drafts, async () => {
          throw new Refusal(['Later.'], status);
        }),
      ).rejects.toThrow('Later.');
    await expect(
      sent(drafts, async () => {
        throw new TypeError('no network');
      }),
    ).rejects.toThrow('no network');
  });
});
