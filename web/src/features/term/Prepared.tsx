import type { Shapes } from '../../api/client';
import { accent } from '../../identity/tokens';
import { Consequences } from '../planner/Consequences';
import { planOf, usePrediction } from '../planner/usePlan';

/** What the planner worked out stays here until the session: what to expect, to weigh and to prepare, who is where. */
export function Prepared({ plan }: { plan: Shapes['SessionPlan'] }) {
  const { card } = plan;
  const prediction = usePrediction(planOf(plan));
  return (
    <Consequences
      prediction={prediction.data}
      error={prediction.error}
      colour={accent(card.family)}
      benches={card.benches}
      minutes={card.minutes}
      instruments={plan.instruments.map((one) => one.text)}
    />
  );
}
