import { createContext, useContext, type ComponentType } from 'react';
import type { Shapes } from '../../api/client';
import { answerKey, ownKey } from '../../api/places';
import { entries, nameOf, partsOf, text, type Entry, type Named } from './draft';

type Field = Shapes['FieldOut'];
export type Record_ = Shapes['RecordOut'];

/** The fields of a record: what it must have, and below what it may have. */
export interface FieldsProps {
  record: Record_;
  entry: Entry;
  onChange: (entry: Entry) => void;
  /** Only these fields, in this order. */
  only?: string[];
}

/** What every field of the editor looks things up in. */
export interface Workshop {
  draft: Entry;
  vocabulary: Record_[];
  instruments: Shapes['Instrument'][];
  /** The typeset formula of a quantity, once the draft holds. */
  typeset: (key: string) => string;
  /** How a record's fields are drawn: a field may hold a record, whose fields are drawn the same way. */
  Fields: ComponentType<FieldsProps>;
}

export const WorkshopContext = createContext<Workshop>({
  draft: {},
  vocabulary: [],
  instruments: [],
  typeset: () => '',
  Fields: () => null,
});
export const useWorkshop = () => useContext(WorkshopContext);

export const recordOf = (workshop: Workshop, name: string) =>
  workshop.vocabulary.find((record) => record.name === name);

/** What a text may be, where the draft itself or the stockroom says so; null where anything may be written. */
export function offered(workshop: Workshop, entry: Entry, field: Field): Named[] | null {
  const { draft, instruments } = workshop;
  if (field.kind === 'name') return partsOf(draft, field.of);
  if (field.kind === 'choice') return field.of.map((key, at) => ({ key, label: field.words[at] ?? key }));
  const own = entries(entry.choices).map((entry) => ({ key: text(entry.key), label: nameOf(entry) }));
  switch (field.name) {
    case 'reads':
      return [...partsOf(draft, ['reading', 'series', 'observation']), ...answers(draft)];
    case 'kinds':
      return [...new Set(instruments.map((instrument) => instrument.kind))].map((kind) => ({
        key: kind,
        label: kind,
      }));
    case 'voids':
    case 'until':
      return own;
    case 'choice':
      return choicesIn(draft, text(entry.observation));
    case 'default':
      return 'kinds' in entry ? fitting(instruments, entry) : own.length > 0 ? own : null;
    default:
      return null;
  }
}

const fitting = (instruments: Shapes['Instrument'][], entry: Entry): Named[] => {
  const kinds = Array.isArray(entry.kinds) ? entry.kinds : [];
  return instruments
    .filter((instrument) => kinds.includes(instrument.kind) && !instrument.slug.startsWith('own-'))
    .map((instrument) => ({ key: instrument.slug, label: instrument.short }));
};

const choicesIn = (draft: Entry, observation: string): Named[] =>
  entries(entries(draft.readings).find((entry) => entry.key === observation)?.choices).map((entry) => ({
    key: text(entry.key),
    label: nameOf(entry),
  }));

/** What a step may ask for besides readings: own results and closing questions. */
function answers(draft: Entry): Named[] {
  const results = entries(draft.quantities).filter((entry) => entry.result === true);
  const questions = Array.isArray(draft.questions) ? draft.questions : [];
  return [
    ...results.map((result) => ({
      key: ownKey(text(result.key)),
      label: `Own ${nameOf(result).toLowerCase()}`,
    })),
    ...questions.map((_, at) => ({ key: answerKey(at + 1), label: `Closing question ${at + 1}` })),
  ];
}
