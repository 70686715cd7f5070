import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { type Shapes } from '../../api/client';
import { FIGURES } from '../../identity/tokens';
import { useShelfChange } from './useShelf';
import { NotDone } from '../../identity/NotDone';

type Said = Shapes['BottleRequest'];

const NOTHING: Said = {
  name: '', formula: '', amount: '', strength: '', limit: '', density: '', until: '', place: '',
}; // prettier-ignore
const FIELDS: [keyof Said, string, string][] = [
  ['amount', 'How much is in it', '500 g, 2.5 L'],
  ['strength', 'How strong, or how pure', '37 %, 0.5 mol/L, 99.5 %'],
  ['limit', 'Known to ±', '0.002 mol/L, 1 %'],
  ['density', 'Density, where a liquid is in %', '1.18 g/mL'],
  ['place', 'Where it stands', 'cupboard 3'],
];

interface Props {
  known: Shapes['Named'][];
  /** The bottle whose label is written anew; none: a new one. */
  bottle: Shapes['BottleOut'] | null;
  onDone: () => void;
}

/** A bottle as its label says it. */
export function BottleForm({ known, bottle, onDone }: Props) {
  const [wanted, setWanted] = useState<Said>(bottle ? labelOf(bottle) : NOTHING);
  const change = useShelfChange();
  const put = (more: Partial<Said>) => setWanted((old) => ({ ...old, ...more }));
  const nameOf = (formula: string) => known.find((reagent) => reagent.label === formula)?.text;
  return (
    <Box
      component="form"
      onSubmit={(event) => {
        event.preventDefault();
        change.put.mutate({ id: bottle?.id ?? null, body: wanted }, { onSuccess: onDone });
      }}
      sx={{ display: 'grid', gap: 1.5, my: 1.5 }}
    >
      <Box sx={{ display: 'grid', gap: 1.25, gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' } }}>
        <Autocomplete
          freeSolo
          options={known.map((reagent) => reagent.label)}
          getOptionLabel={(formula) => (nameOf(formula) ? `${formula}, ${nameOf(formula)}` : formula)}
          inputValue={wanted.formula}
          onInputChange={(_, text) => {
            const formula = text.split(',')[0] ?? text;
            put({ formula, ...(nameOf(formula) && !wanted.name && { name: nameOf(formula) }) });
          }}
          renderInput={(params) => <TextField {...params} required label="What is in it, as a formula" />}
        />
        <TextField
          required
          label="Name on the label"
          value={wanted.name}
          onChange={(event) => put({ name: event.target.value })}
        />
        {FIELDS.map(([key, label, example]) => (
          <TextField
            key={key}
            required={key === 'amount'}
            label={label}
            helperText={`such as ${example}`}
            value={wanted[key]}
            onChange={(event) => put({ [key]: event.target.value })}
            slotProps={{
              htmlInput: { maxLength: key === 'place' ? 60 : 24, style: { fontFamily: FIGURES } },
            }}
          />
        ))}
        <TextField
          type="date"
          label="Use until"
          value={wanted.until}
          onChange={(event) => put({ until: event.target.value })}
          slotProps={{ inputLabel: { shrink: true } }}
        />
      </Box>
      <NotDone lead="Not kept." error={change.put.error} />
      <Box sx={{ display: 'flex', gap: 1 }}>
        <Button type="submit" variant="contained" disabled={change.put.isPending}>
          {bottle ? 'Write the label' : 'Put it on the shelf'}
        </Button>
        <Button onClick={onDone}>Leave it</Button>
      </Box>
    </Box>
  );
}

const labelOf = ({ name, formula, amount, strength, limit, density, until, place }: Shapes['BottleOut']): Said => ({
  name, formula, amount, strength, limit, density, until, place,
}); // prettier-ignore
