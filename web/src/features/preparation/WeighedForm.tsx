import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { type Shapes } from '../../api/client';
import { FIGURES, ink } from '../../identity/tokens';
import { useMake, useTriedRecipe } from './usePreparation';
import { NotDone } from '../../identity/NotDone';

interface Props {
  session: number;
  recipe: Shapes['Recipe'];
  onDone: () => void;
}

/** What was really weighed or measured: the concentration follows while it is typed, and can become the plan's. */
export function WeighedForm({ session, recipe, onDone }: Props) {
  const [measured, setMeasured] = useState<Record<string, string>>({});
  const [into_plan, setIntoPlan] = useState(recipe.feeds !== '');
  const [keep, setKeep] = useState(false);
  const making = useMake(session);
  // the very bottle that is looked at: another would be another number
  const wanted = { key: recipe.key, bottle: recipe.bottle, measured };
  const tried = useTriedRecipe(session, wanted, Object.keys(measured).length > 0);
  const now = tried.data ?? recipe;
  return (
    <Box
      component="form"
      onSubmit={(event) => {
        event.preventDefault();
        making.mutate({ ...wanted, lead: recipe.lead, into_plan, keep }, { onSuccess: onDone });
      }}
      sx={{ display: 'grid', gap: 1, my: 1, color: ink.ink }}
    >
      {recipe.asked.map((weighed) => (
        <TextField
          key={weighed.key}
          autoFocus={weighed.key === recipe.asked[0]?.key}
          label={`${weighed.label}, ${weighed.unit}`}
          helperText={`${weighed.by}; about ${weighed.wanted}`}
          value={measured[weighed.key] ?? ''}
          onChange={(event) => setMeasured({ ...measured, [weighed.key]: event.target.value })}
          slotProps={{ htmlInput: { inputMode: 'decimal', maxLength: 24, style: { fontFamily: FIGURES } } }}
        />
      ))}
      {tried.error ? (
        <NotDone lead="Look again." error={tried.error} />
      ) : (
        <Box>
          It is <strong style={{ fontFamily: FIGURES }}>{now.result}</strong>
          {now.shares[0] && ` (95 %); mostly from: ${now.shares[0].label.toLowerCase()}`}
        </Box>
      )}
      {recipe.feeds && (
        <Tick label="This number counts in the plan from now on" on={into_plan} put={setIntoPlan} />
      )}
      <Tick label="Put it on the shelf as a bottle of its own" on={keep} put={setKeep} />
      <NotDone lead="Not written." error={making.error} />
      <Box sx={{ display: 'flex', gap: 1 }}>
        <Button type="submit" variant="contained" disabled={making.isPending || Boolean(tried.error)}>
          It is made
        </Button>
        <Button onClick={onDone}>Leave it</Button>
      </Box>
    </Box>
  );
}

function Tick({ label, on, put }: { label: string; on: boolean; put: (on: boolean) => void }) {
  return (
    <FormControlLabel
      control={<Checkbox checked={on} onChange={(event) => put(event.target.checked)} />}
      label={label}
    />
  );
}
