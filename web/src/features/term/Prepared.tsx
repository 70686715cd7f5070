import type { Shapes } from '../../api/client';
import { accent } from '../../identity/tokens';
import { Sheet } from '../../identity/Sheet';
import { Expected } from '../planner/Consequences';
import { Targets } from '../planner/Needed';
import { planOf, useForesight, usePrediction } from '../planner/usePlan';

/** What the planner worked out stays here until the session: what to expect and to aim at, who is where. */
export function Prepared({ plan }: { plan: Shapes['SessionPlan'] }) {
  const { card } = plan;
  const prediction = usePrediction(planOf(plan));
  const foresight = useForesight(planOf(plan));
  const targets = prediction.data?.supplies.targets ?? [];
  return (
    <>
      {targets.length > 0 && (
        <Sheet title="What to aim at">
          <Targets targets={targets} />
        </Sheet>
      )}
      <Expected
        prediction={prediction.data}
        foresight={foresight.data}
        error={prediction.error}
        colour={accent(card.family)}
      />
    </>
  );
}
