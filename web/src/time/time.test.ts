import { describe, expect, it } from 'vitest';
import { dotted } from '../identity/dotted';
import { ago, countdown } from './time';

const NOW = Date.parse('2026-03-02T12:00:00Z');
const before = (minutes: number) => new Date(NOW - minutes * 60000).toISOString();

describe('how long ago', () => {
  it.each([
    [0.4, 'just now'],
    [1, '1 min ago'],
    [59.9, '59 min ago'],
    [60, '1 h ago'],
    [47 * 60, '47 h ago'],
    [6 * 1440, '6 days ago'],
  ])('%f minutes', (minutes, text) => {
    expect(ago(before(minutes), NOW)).toBe(text);
  });

  it('takes a clock that is ahead as now', () => {
    expect(ago(before(-3), NOW)).toBe('just now');
  });
});

describe('a countdown', () => {
  it.each([
    [30, '0:30'],
    [29.2, '0:30'],
    [600, '10:00'],
    [61, '1:01'],
    [0, '0:00'],
    [-5, '−0:05'],
  ])('%f s', (seconds, text) => {
    expect(countdown(seconds)).toBe(text);
  });
});

describe('parts in a line', () => {
  it('leaves out what is not there', () => {
    expect(dotted('Group B', '', undefined, 'Room 2')).toBe('Group B · Room 2');
  });
});
