import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { type Shapes } from '../../api/client';
import { useChangePlan, useMethod } from '../../api/hooks';
import { Sheet } from '../../identity/Sheet';
import { SamplesField } from '../planner/SamplesField';
import { named } from '../planner/usePlan';
import { NotDone } from '../../identity/NotDone';

/** What the benches are given, changed until the session opens. */
export function Samples({ plan }: { plan: Shapes['SessionPlan'] }) {
  const stands = { samples: plan.samples, allSamples: plan.draft.all_samples };
  const [draft, setDraft] = useState<typeof stands | null>(null);
  const { samples, allSamples } = draft ?? stands;
  const change = useChangePlan(plan.card.id);
  const options = useMethod(plan.card.method).data?.options ?? [];
  return (
    <Sheet title="Samples and accepted values">
      <Box sx={{ display: 'grid', gap: 2, pt: 1 }}>
        <SamplesField
          {...{ samples, options }}
          results={plan.comparable}
          all={allSamples}
          onChange={(changed) => setDraft({ samples, allSamples, ...changed })}
        />
        <NotDone lead="Not kept." error={change.error} />
        <Button
          variant="outlined"
          sx={{ justifySelf: 'start' }}
          disabled={change.isPending || draft === null}
          onClick={() =>
            change.mutate(
              { samples: named(samples), all_samples: allSamples },
              { onSuccess: () => setDraft(null) },
            )
          }
        >
          Keep the samples
        </Button>
      </Box>
    </Sheet>
  );
}
