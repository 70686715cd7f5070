import { describe, expect, it } from 'vitest';
import { choicesOf, nameOf, partsOf, rowsToType } from './draft';

const DRAFT = {
  trials: { noun: 'Flask', minimum: 2, maximum: 4 },
  options: [
    { kind: 'choice-option', key: 'by', label: 'Filled by', choices: [{ key: 'eye', label: 'Eye' }] },
    { kind: 'list-option', key: 'V_plan', label: 'Volumes' },
  ],
  readings: [
    { kind: 'reading', key: 'T', label: 'Temperature', scope: 'bench' },
    { kind: 'series', key: 'm', label: 'Masses' },
    {
      kind: 'observation',
      key: 'end',
      label: 'End',
      voids: ['bad'],
      choices: [{ key: 'bad' }, { key: 'good' }],
    },
    { kind: 'reading', key: 'extra', label: 'Extra', optional: true },
  ],
};

describe('a draft', () => {
  it('knows its parts by kind, and choices of its options', () => {
    expect(partsOf(DRAFT, ['series', 'list'])).toEqual([
      { key: 'm', label: 'Masses' },
      { key: 'V_plan', label: 'Volumes' },
    ]);
    expect(choicesOf(DRAFT, 'by')).toEqual([{ key: 'eye', label: 'Eye' }]);
    expect(nameOf({ says: 'it is halved', key: 'half' })).toBe('it is halved');
  });

  it('survives anything that may stand in it', () => {
    expect(partsOf({ readings: 'later', options: [null, 3] }, ['reading', 'number'])).toEqual([]);
    expect(rowsToType({ trials: null, readings: 7 })).toEqual([]);
  });

  it('asks for the rows of a run', () => {
    const rows = rowsToType(DRAFT);
    expect(rows[0]).toEqual(['T', null, null, '']);
    expect(rows.filter(([key]) => key === 'm')).toHaveLength(6);
    expect(rows.filter(([key]) => key === 'end')).toEqual([
      ['end', 1, null, 'good'],
      ['end', 2, null, 'good'],
    ]);
    expect(rows.some(([key]) => key === 'extra')).toBe(false);
  });
});
