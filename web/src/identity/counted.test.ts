import { expect, it } from 'vitest';
import { counted } from './counted';

it('says one thing, and no or many things', () => {
  expect(counted(1, 'bench', 'benches')).toBe('1 bench');
  expect(counted(0, 'student')).toBe('0 students');
  expect(counted(12, 'bench', 'benches')).toBe('12 benches');
});
