import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { type Shapes } from '../../api/client';
import { useAddInstrument, useInstruments } from '../../api/hooks';
import { accent, FIGURES } from '../../identity/tokens';
import { Drawn } from '../../instruments/Drawn';
import { useTriedInstrument } from './useTriedInstrument';
import { NotDone } from '../../identity/NotDone';

type Typed = Shapes['OwnScaleRequest'];

/** Everything as of the instrument that it is like. */
const NOTHING: Typed = {
  base: '', name: '', low: '', high: '', graduation: '', decimals: '', tolerance: '', basis: '', numbers_run: '', scales: '',
}; // prettier-ignore
const FIELDS: [keyof Typed, string][] = [
  ['low', 'From'],
  ['high', 'To'],
  ['graduation', 'Smallest step'],
  ['decimals', 'Decimals to write'],
  ['tolerance', 'Known to ±'],
];
const GRID = {
  display: 'grid',
  gap: 1.25,
  gridTemplateColumns: { xs: '1fr', sm: 'repeat(2, minmax(0, 1fr))' },
} as const;

/** A new instrument: what it is most like, and what is otherwise. It is drawn as it will stand at the bench. */
export function InstrumentForm({ onDone }: { onDone: () => void }) {
  const [typed, setTyped] = useState<Typed>(NOTHING);
  const usual = (useInstruments().data ?? []).filter((tool) => !tool.slug.startsWith('own-'));
  const base = usual.find((tool) => tool.slug === typed.base);
  const tried = useTriedInstrument(typed);
  const add = useAddInstrument();
  const put = (change: Partial<Typed>) => setTyped((old) => ({ ...old, ...change }));
  return (
    <Box
      component="form"
      onSubmit={(event) => {
        event.preventDefault();
        add.mutate(typed, { onSuccess: onDone });
      }}
      sx={{ display: 'grid', gap: 1.5, mt: 1.5 }}
    >
      <Box sx={GRID}>
        <TextField
          select
          required
          label="Most like"
          value={typed.base}
          onChange={(event) => setTyped({ ...NOTHING, base: event.target.value, name: typed.name })}
        >
          {usual.map((tool) => (
            <MenuItem key={tool.slug} value={tool.slug}>
              {tool.short}
            </MenuItem>
          ))}
        </TextField>
        <TextField
          required
          label="What it is called in your room"
          value={typed.name}
          onChange={(event) => put({ name: event.target.value })}
          slotProps={{ htmlInput: { maxLength: 60 } }}
        />
      </Box>
      {base && <Scale {...{ base, typed, put }} />}
      <NotDone lead="Not yet." error={tried.error} />
      {tried.data && (
        <Box sx={{ maxWidth: 200 }}>
          <Drawn tool={tried.data} text="" colour={accent('solutions')} />
        </Box>
      )}
      <NotDone lead="Not kept." error={add.error} />
      <Box sx={{ display: 'flex', gap: 1 }}>
        <Button type="submit" variant="contained" disabled={!tried.data || add.isPending}>
          Put it into the stockroom
        </Button>
        <Button onClick={onDone}>Leave it</Button>
      </Box>
    </Box>
  );
}

interface ScaleProps {
  base: Shapes['Instrument'];
  typed: Typed;
  put: (change: Partial<Typed>) => void;
}

/** Its scale and how well it is known; what is left empty is as of the one it is like. */
function Scale({ base, typed, put }: ScaleProps) {
  const oneMark = base.low === base.high;
  const asOfBase: Partial<Record<keyof Typed, string>> = {
    low: base.low,
    high: base.high,
    graduation: base.graduation,
    decimals: String(base.decimals),
  };
  const shown = FIELDS.filter(([key]) => !oneMark || !['low', 'graduation'].includes(key));
  return (
    <Box sx={GRID}>
      {shown.map(([key, label]) => (
        <TextField
          key={key}
          label={key === 'decimals' || !base.unit ? label : `${label}, ${base.unit}`}
          placeholder={asOfBase[key] ?? 'as that one'}
          value={typed[key]}
          onChange={(event) => put({ [key]: event.target.value })}
          slotProps={{
            htmlInput: { style: { fontFamily: FIGURES }, inputMode: 'decimal', maxLength: 24 },
            inputLabel: { shrink: true },
          }}
        />
      ))}
      {base.scales.length > 0 && (
        <TextField
          label={`All its scales, ${base.unit}`}
          placeholder={base.scales.join('; ')}
          helperText="The one in use is the end above."
          value={typed.scales}
          onChange={(event) => put({ scales: event.target.value })}
          slotProps={{ inputLabel: { shrink: true } }}
        />
      )}
      {base.numbers_run && (
        <TextField
          select
          label="Its numbers grow"
          value={typed.numbers_run || base.numbers_run}
          onChange={(event) => put({ numbers_run: event.target.value === 'up' ? 'up' : 'down' })}
        >
          <MenuItem value="down">downward</MenuItem>
          <MenuItem value="up">upward</MenuItem>
        </TextField>
      )}
      <TextField
        label="Where that is from"
        placeholder="its label, its certificate"
        value={typed.basis}
        onChange={(event) => put({ basis: event.target.value })}
        slotProps={{ htmlInput: { maxLength: 120 }, inputLabel: { shrink: true } }}
      />
    </Box>
  );
}
