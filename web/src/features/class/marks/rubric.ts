import type { Shapes } from '../../../api/client';

type Criterion = Shapes['Criterion'];
export type Kind = Criterion['kind'];

export const LABELS: Record<Kind, string> = {
  accuracy: 'Accuracy',
  precision: 'Precision',
  completeness: 'Completeness',
  figures: 'Figures and units',
  record: 'Record keeping',
  own: 'Own work',
  prelab: 'Before class',
  conclusion: 'Conclusion',
};

/** A rubric as it is typed: points by kind, empty for what does not count. */
export interface Typed {
  name: string;
  total: string;
  points: Record<Kind, string>;
  by: Criterion['by'];
  full: string;
  none: string;
}

export function typed(rubric: Shapes['Rubric']): Typed {
  const kinds = Object.keys(LABELS) as Kind[];
  const of = (kind: Kind) => rubric.criteria.find((criterion) => criterion.kind === kind);
  const accuracy = of('accuracy');
  return {
    name: rubric.name,
    total: String(rubric.total),
    points: Object.fromEntries(kinds.map((kind) => [kind, String(of(kind)?.points ?? '')])) as Record<
      Kind,
      string
    >,
    by: accuracy?.by ?? 'percent',
    full: String(accuracy?.full ?? 1),
    none: String(accuracy?.none ?? 5),
  };
}

const number = (text: string) => Number(text.replace(',', '.'));

/** What is sent: nothing of what has no points. */
export function asRubric(typed: Typed): Shapes['RubricRequest'] {
  const limits = { by: typed.by, full: number(typed.full), none: number(typed.none) };
  return {
    name: typed.name.trim(),
    total: number(typed.total),
    criteria: (Object.keys(LABELS) as Kind[])
      .filter((kind) => number(typed.points[kind]) > 0)
      .map((kind) => ({ kind, points: number(typed.points[kind]), ...limits })),
  };
}

/** What the points come to as they are typed. */
export const added = (typed: Typed) =>
  Object.values(typed.points).reduce((sum, text) => sum + (number(text) || 0), 0);
