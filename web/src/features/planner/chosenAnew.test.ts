import { describe, expect, it } from 'vitest';
import { chosenAnew } from './chosenAnew';

const acid = {
  key: 'M_s',
  choices: [
    { key: 'CH3COOH', label: 'Ethanoic acid', sets: { z_s: '1' } },
    { key: 'C6H8O7', label: 'Citric acid', sets: { z_s: '3' } },
  ],
};

describe('a choice made anew', () => {
  it('forgets what followed from the one before', () => {
    const held = { M_s: 'CH3COOH', z_s: '1', c_t: '0.1026' };
    expect(chosenAnew(held, acid, { M_s: 'C6H8O7' })).toEqual({ M_s: 'C6H8O7', c_t: '0.1026' });
  });

  it('leaves everything else as it was chosen', () => {
    const number = { key: 'z_s', choices: [] };
    expect(chosenAnew({ M_s: 'C6H8O7', z_s: '3' }, number, { z_s: '2' })).toEqual({
      M_s: 'C6H8O7',
      z_s: '2',
    });
  });
});
