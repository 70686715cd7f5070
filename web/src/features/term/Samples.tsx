import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { sentence, type Shapes } from '../../api/client';
import { useChangePlan } from '../../api/hooks';
import { Sheet } from '../../identity/Sheet';
import { VerdictLine } from '../../identity/Verdict';
import { SamplesField } from '../planner/SamplesField';

/** What the benches are given, changed until the session opens. */
export function Samples({ plan }: { plan: Shapes['SessionPlan'] }) {
  const [draft, setDraft] = useState<typeof plan.samples | null>(null);
  const samples = draft ?? plan.samples;
  const change = useChangePlan(plan.card.id);
  const named = samples.filter((sample) => sample.name.trim());
  return (
    <Sheet title="Samples and accepted values">
      <Box sx={{ display: 'grid', gap: 2, pt: 1 }}>
        <SamplesField samples={samples} results={plan.comparable} onChange={setDraft} />
        {change.error && (
          <VerdictLine level="look" lead="Not kept.">
            {sentence(change.error)}
          </VerdictLine>
        )}
        <Button
          variant="outlined"
          sx={{ justifySelf: 'start' }}
          disabled={change.isPending || draft === null}
          onClick={() => change.mutate({ samples: named }, { onSuccess: () => setDraft(null) })}
        >
          Keep the samples
        </Button>
      </Box>
    </Sheet>
  );
}
