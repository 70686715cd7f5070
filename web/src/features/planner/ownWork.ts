import type { Shapes } from '../../api/client';

export type OwnWork = Shapes['OwnWork'];

/** Nothing but what the method asks by itself. */
export const NO_OWN_WORK: OwnWork = { shows: 'at_once', hints: 'slip', tries: 3, lines: [] };

/** Nothing is asked before class. */
export const NO_PRELAB: Shapes['Prelab'] = { tasks: [], questions: [], needed: false, tries: 3 };

export const SHOWS = [
  ['at_once', 'at once'],
  ['after_line', 'each after the student’s own'],
  ['after_own', 'all after the own result'],
  ['after_release', 'when I release the results'],
] as const;

export const HINTS = [
  ['none', 'nothing'],
  ['verdict', 'right or not yet'],
  ['place', 'where it differs first'],
  ['slip', 'which slip gives the number'],
  ['line', 'the line itself'],
] as const;

export const TRIES = [
  ['1', 'after one try'],
  ['2', 'after two tries'],
  ['3', 'after three tries'],
  ['5', 'after five tries'],
  ['0', 'never'],
] as const;

/** As many as a worksheet holds; the server says so too. */
export const MOST_LINES = 24;

/** Who lets lines wait for the students' own wants them worked out: all of them, the last where they are very many,
 * until some are taken away.
 */
export const withAllLines = (work: OwnWork, lines: Shapes['LineOut'][]): OwnWork =>
  work.shows !== 'at_once' && work.lines.length === 0
    ? { ...work, lines: lines.map((line) => line.key).slice(-MOST_LINES) }
    : work;
