import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { type Shapes } from '../../../api/client';
import { useKeepRubric } from './useMarks';
import { FIGURES, ink } from '../../../identity/tokens';
import { added, asRubric, LABELS, typed, type Kind, type Typed } from './rubric';
import { NotDone } from '../../../identity/NotDone';

interface Props {
  session: number;
  from: Shapes['Rubric'];
  onDone: () => void;
}

const figures = { htmlInput: { inputMode: 'decimal' as const, style: { fontFamily: FIGURES } } };
const PAIR = { display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1 } as const;

/** A rubric as one's own: what counts, how much, and of accuracy from where to where. */
export function RubricForm({ session, from, onDone }: Props) {
  const [form, setForm] = useState(() => typed(from));
  const keep = useKeepRubric(session);
  const put = (change: Partial<Typed>) => setForm((old) => ({ ...old, ...change }));
  return (
    <Box
      component="form"
      sx={{ display: 'grid', gap: 1.5, mt: 1 }}
      onSubmit={(event) => {
        event.preventDefault();
        keep.mutate(asRubric(form), { onSuccess: onDone });
      }}
    >
      <Box sx={PAIR}>
        <TextField
          size="small"
          label="Name"
          value={form.name}
          onChange={(event) => put({ name: event.target.value })}
        />
        <TextField
          size="small"
          label="The whole"
          value={form.total}
          onChange={(event) => put({ total: event.target.value })}
          slotProps={figures}
          helperText={`The lines add up to ${added(form)}.`}
        />
      </Box>
      <Box sx={PAIR}>
        {(Object.keys(LABELS) as Kind[]).map((kind) => (
          <TextField
            key={kind}
            size="small"
            label={LABELS[kind]}
            value={form.points[kind]}
            onChange={(event) => put({ points: { ...form.points, [kind]: event.target.value } })}
            slotProps={figures}
          />
        ))}
      </Box>
      <Accuracy one={form} put={put} />
      <Box sx={{ color: ink.inkSoft, fontSize: 13.5 }}>Leave empty what does not count.</Box>
      <NotDone lead="Not kept." error={keep.error} />
      <Box sx={{ display: 'flex', gap: 1 }}>
        <Button type="submit" variant="outlined" disabled={keep.isPending}>
          Keep the rubric
        </Button>
        <Button onClick={onDone}>Leave it</Button>
      </Box>
    </Box>
  );
}

function Accuracy({ one: typed, put }: { one: Typed; put: (change: Partial<Typed>) => void }) {
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: '1.4fr 1fr 1fr', gap: 1 }}>
      <TextField
        select
        size="small"
        label="Accuracy in"
        value={typed.by}
        onChange={(event) => put({ by: event.target.value as Typed['by'] })}
      >
        <MenuItem value="percent">per cent of the accepted value</MenuItem>
        <MenuItem value="u">standard uncertainties</MenuItem>
      </TextField>
      <TextField
        size="small"
        label="All points within"
        value={typed.full}
        onChange={(event) => put({ full: event.target.value })}
        slotProps={figures}
      />
      <TextField
        size="small"
        label="None from"
        value={typed.none}
        onChange={(event) => put({ none: event.target.value })}
        slotProps={figures}
      />
    </Box>
  );
}
