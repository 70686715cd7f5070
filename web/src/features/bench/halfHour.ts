import type { Draft } from '../../queue/store';
import { begun, type Step } from './hand';

/** A step of the next half hour, in minutes from now: hands first, then what goes on by itself. */
export interface Ahead {
  step: Step;
  from: number;
  hands: number;
  wait: number;
  /** What can be done for the next trial while it goes on by itself. */
  meanwhile: string;
}

export const SPAN = 30;

/** What this bench has before it, as long as it usually takes: nothing here is a deadline. */
export function halfHour(steps: Step[], pending: Draft[], now: number): Ahead[] {
  const aheads: Ahead[] = [];
  const early = new Set<Step>();
  let from = 0;
  for (const step of steps) {
    if (from >= SPAN) break;
    if (!['now', 'ahead'].includes(step.state) || early.has(step)) continue;
    const wait = waitOf(step, pending, now);
    const following = wait > 0 ? meanwhileOf(steps, step) : undefined;
    const inIt = following && !early.has(following) ? following : undefined;
    if (inIt) early.add(inIt);
    // once its wait runs, the hands are free
    const hands = wait > 0 && begun(step, pending) !== null ? 0 : step.minutes;
    if (hands + wait > 0)
      aheads.push({
        step,
        from,
        hands,
        wait,
        meanwhile: inIt ? named(inIt) : '',
      });
    // an early step is begun so that other work fills its wait
    from += hands + (step.early ? 0 : Math.max(wait, inIt?.minutes ?? 0));
  }
  return aheads;
}

/** Minutes that its wait still takes. */
function waitOf(step: Step, pending: Draft[], now: number): number {
  const since = begun(step, pending);
  const over = since === null ? 0 : now / 1000 - since;
  return Math.max(step.wait_seconds - over, 0) / 60;
}

const meanwhileOf = (steps: Step[], { meanwhile, trial }: Step) =>
  steps.find(
    (step) =>
      meanwhile && step.key === meanwhile && step.trial === (trial ?? 0) + 1 && step.state === 'ahead',
  );

/** “Weigh a portion, trial 2”. */
export const named = (step: Step) =>
  step.trial_name ? `${step.title}, ${step.trial_name.toLowerCase()}` : step.title;
