/** The chapters of a declaration, as its author goes through them: which of its fields each holds. */
export const CHAPTERS = [
  {
    key: 'what',
    title: 'What it is',
    says: 'The experiment’s page begins with these.',
    fields: ['title', 'family', 'question', 'reaction', 'hazards', 'waste', 'questions', 'trials'],
  },
  {
    key: 'choices',
    title: 'Choices',
    says: 'What a session may choose: schools, numbers with their ±, substances, planned values.',
    fields: ['options'],
  },
  {
    key: 'instruments',
    title: 'Instruments',
    says: 'Each place for an instrument, with the kinds that fit it and the usual one.',
    fields: ['roles'],
  },
  {
    key: 'readings',
    title: 'Readings',
    says: 'What is read or seen at the bench. Every one needs a step that asks for it.',
    fields: ['readings'],
  },
  {
    key: 'computation',
    title: 'Computation',
    says: 'Formulas over readings and choices, in order: each may use those above it. Units are checked.',
    fields: ['quantities', 'compares', 'path'],
  },
  {
    key: 'steps',
    title: 'Steps',
    says: 'One thing to do each, with its caution where somebody can get hurt.',
    fields: ['steps'],
  },
  {
    key: 'checks',
    title: 'Checks',
    says: 'What is looked at as soon as it is written, and what is said then.',
    fields: ['checks'],
  },
  {
    key: 'errors',
    title: 'Slips and faults',
    says: 'Mistakes of arithmetic as formulas; what goes wrong at the bench as a change of readings.',
    fields: ['slips', 'faults'],
  },
  { key: 'charts', title: 'Charts', says: 'Pictures that grow with the readings.', fields: ['charts'] },
  {
    key: 'planning',
    title: 'Planning',
    says: 'What to aim at, what is used up, what benches share, what later sessions can use.',
    fields: ['targets', 'supplies', 'shared', 'stores', 'titrated', 'follows'],
  },
  {
    key: 'example',
    title: 'Worked example',
    says: 'A run whose readings everybody can follow. Effects of slips and faults are computed on it.',
    fields: ['example', 'more_examples'],
  },
] as const;
