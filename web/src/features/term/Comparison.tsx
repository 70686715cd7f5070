import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { type Shapes } from '../../api/client';
import { useChangePlan } from '../../api/hooks';
import { Sheet } from '../../identity/Sheet';
import { ink } from '../../identity/tokens';
import { NotDone } from '../../identity/NotDone';

/** Another product's data, prepared now, opened by each bench for itself once its trials agree. */
export function Comparison({ plan }: { plan: Shapes['SessionPlan'] }) {
  const [name, setName] = useState(plan.comparison);
  const change = useChangePlan(plan.card.id);
  const read = async (file: File | undefined) => {
    if (file) change.mutate({ name, file: await file.text() });
  };
  return (
    <Sheet title="Data of another product">
      <Box sx={{ display: 'grid', gap: 1.5, pt: 1, justifyItems: 'start' }}>
        <Box sx={{ color: ink.inkSoft, fontSize: 14 }}>
          {plan.comparison
            ? `${plan.comparison} is ready. It opens at a bench as soon as that bench's trials agree.`
            : 'A bench gets it to compare with once its own trials agree. Any “Data, JSON” or “Readings, CSV” of this experiment will do.'}
        </Box>
        <TextField
          label="What the benches will see it called"
          value={name}
          fullWidth
          onChange={(event) => setName(event.target.value)}
          slotProps={{ htmlInput: { maxLength: 60 } }}
        />
        <NotDone lead="Not kept." error={change.error} />
        <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
          <Button variant="outlined" component="label" disabled={!name.trim() || change.isPending}>
            {plan.comparison ? 'Choose another file' : 'Choose its file'}
            <input
              type="file"
              hidden
              accept=".json,.csv"
              onChange={(event) => void read(event.target.files?.[0])}
            />
          </Button>
          {plan.comparison && (
            <Button onClick={() => change.mutate({ name: plan.comparison, file: '' })}>Take it away</Button>
          )}
        </Box>
      </Box>
    </Sheet>
  );
}
