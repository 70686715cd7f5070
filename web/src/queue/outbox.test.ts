import { describe, expect, it } from 'vitest';
import { batch, type Draft } from './outbox';

const draft = (id: number, length: number): Draft => ({
  id: String(id),
  key: 'photo',
  text: '',
  trial: null,
  index: null,
  written_at: '',
  supersedes: null,
  reason: '',
  image: 'x'.repeat(length),
});

describe('a batch', () => {
  it('holds at most two hundred entries, in order', () => {
    const drafts = Array.from({ length: 250 }, (_, at) => draft(at, 0));
    expect(batch(drafts).map((one) => one.id)).toEqual(drafts.slice(0, 200).map((one) => one.id));
  });

  it('ends before a request gets too long, but never holds nothing', () => {
    const drafts = [draft(1, 900_000), draft(2, 800_000), draft(3, 800_000)];
    expect(batch(drafts)).toHaveLength(2);
    expect(batch([draft(1, 1_900_000), draft(2, 10)])).toHaveLength(1);
  });
});
