import { describe, expect, it } from 'vitest';
import type { Shapes } from '../../api/client';
import { offered, type Workshop } from './fields';

type Field = Shapes['FieldOut'];

const tool = (slug: string, kind: string) => ({ slug, kind, short: slug }) as unknown as Shapes['Instrument'];
const field = (name: string, kind: string, of: string[] = [], words: string[] = []): Field => ({
  name,
  label: name,
  kind,
  many: false,
  required: true,
  often: true,
  default: '',
  of,
  words,
});

const WORKSHOP: Workshop = {
  draft: {
    questions: ['Why?', 'How?'],
    quantities: [
      { key: 'rho', label: 'Density', result: true },
      { key: 'm', label: 'Mass' },
    ],
    readings: [
      { kind: 'reading', key: 'V', label: 'Volume' },
      { kind: 'observation', key: 'lid', label: 'Lid', choices: [{ key: 'dry', label: 'Dry' }] },
    ],
  },
  vocabulary: [],
  instruments: [tool('balance-0.01', 'balance'), tool('own-3', 'balance'), tool('ruler', 'ruler')],
  typeset: () => '',
  Fields: () => null,
};
const keys = (entry: Record<string, unknown>, field: Field) =>
  offered(WORKSHOP, entry, field)?.map(({ key }) => key);

describe('what a field offers', () => {
  it('names the parts of the draft, and choices in words', () => {
    expect(keys({}, field('quantity', 'name', ['quantity']))).toEqual(['rho', 'm']);
    expect(offered(WORKSHOP, {}, field('scope', 'choice', ['trial'], ['In every trial']))).toEqual([
      { key: 'trial', label: 'In every trial' },
    ]);
  });

  it('lets a step read readings, own results and closing questions', () => {
    expect(keys({}, field('reads', 'text'))).toEqual(['V', 'lid', 'own.rho', 'answer.1', 'answer.2']);
  });

  it('offers instruments of the fitting kinds, not somebody’s own calibrated ones', () => {
    expect(keys({ kinds: ['balance'] }, field('default', 'text'))).toEqual(['balance-0.01']);
    expect(keys({}, field('kinds', 'text'))).toEqual(['balance', 'ruler']);
  });

  it('offers the choices of an option or of the observation that is looked at', () => {
    expect(keys({ choices: [{ key: 'a' }] }, field('default', 'text'))).toEqual(['a']);
    expect(keys({ observation: 'lid' }, field('choice', 'text'))).toEqual(['dry']);
  });

  it('leaves free what may be anything', () => {
    expect(offered(WORKSHOP, {}, field('unit', 'text'))).toBeNull();
  });
});
