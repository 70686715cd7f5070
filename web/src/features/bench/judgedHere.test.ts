import { describe, expect, it } from 'vitest';
import type { Bench } from './hand';
import { judgedHere } from './judgedHere';

const tool = { slug: 'burette', short: 'Burette 50 mL', low: '0', high: '50', unit: 'mL', decimals: 2 };
const bench = { parts: [{ key: 'V', instrument: 'burette' }], instruments: [tool] } as unknown as Bench;
const said = (text: string) => {
  const verdict = judgedHere(bench, 'V', text);
  return verdict && `${verdict.level} ${verdict.text}`;
};

describe('without network', () => {
  it('knows what the instrument shows', () => {
    expect(said('21.78')).toMatch(/^keep/);
    expect(said('21,78')).toMatch(/^keep/);
    expect(said('21.8')).toMatch(/^look It is read to 2 decimals/);
    expect(said('21')).toMatch(/^look It is read to 2 decimals/);
    expect(said('21.785')).toMatch(/^look It shows 2 decimals, not 3/);
    expect(said('55.00')).toBe('look Burette 50 mL goes from 0 to 50 mL.');
    expect(said('-1.00')).toMatch(/goes from 0 to 50/);
  });

  it('says nothing of what only the server can read', () => {
    for (const text of ['', 'much', '21.78 mL', '1e1', '.', '2.1.7']) expect(said(text)).toBeNull();
    expect(judgedHere(bench, 'other', '21.78')).toBeNull();
  });
});
