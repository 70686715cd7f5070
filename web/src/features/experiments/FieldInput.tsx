import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { ReactNode } from 'react';
import type { Shapes } from '../../api/client';
import { FIGURES } from '../../identity/tokens';
import { text, texts, type Entry, type Named } from './draft';
import { offered, useWorkshop } from './fields';
import { PairsInput } from './PairsInput';
import { RecordList } from './RecordList';
import { OneRecord, WordInput } from './WordInput';
import { RowsTable } from './RowsTable';
import { WhenInput } from './WhenInput';

type Field = Shapes['FieldOut'];

interface Props {
  entry: Entry;
  field: Field;
  onChange: (value: unknown) => void;
  /** The sheet's own title says already what this is. */
  bare?: boolean;
}

const WIDE = new Set(['long', 'formula', 'record', 'word', 'pairs', 'when', 'rows']);

/** Whether a field takes the whole width of its record. */
export const isWide = (field: Field) => field.many || WIDE.has(field.kind);

type InputProps = Props & { value: unknown };

/** Fields whose kind says how they are written; the others are written as texts. */
const BY_KIND: Record<string, (props: InputProps) => ReactNode> = {
  rows: ({ value, onChange }) => <RowsTable rows={value} onChange={onChange} />,
  when: ({ value, onChange }) => <WhenInput value={value} onChange={onChange} />,
  pairs: ({ field, value, onChange }) => <PairsInput {...{ field, value, onChange }} />,
  record: (props) => (props.field.many ? <Records {...props} /> : <OneRecord {...props} />),
  word: (props) => (props.field.many ? <Records {...props} /> : <WordInput {...props} />),
  yes: ({ field, value, onChange }) => (
    <FormControlLabel
      label={field.label}
      control={
        <Checkbox checked={value === true} onChange={({ target }) => onChange(target.checked || undefined)} />
      }
    />
  ),
};

/** One field of a record, as its kind asks. An emptied field that need not be there is left out of the declaration. */
export function FieldInput(props: Props) {
  const { entry, field, onChange } = props;
  const choices = offered(useWorkshop(), entry, field);
  const value = entry[field.name];
  const put = (next: string) => onChange(next === '' && !field.required ? undefined : next);
  const Input = BY_KIND[field.kind];
  if (Input) return Input({ ...props, value });
  if (field.many && choices) return <Several {...{ field, choices, onChange }} chosen={texts(value)} />;
  if (field.many) return <Lines {...{ field, value, onChange }} />;
  if (choices) return <OneOf {...{ field, choices, put }} chosen={text(value ?? field.default)} />;
  if (field.kind === 'number') return <Count {...{ field, value, onChange }} />;
  return <Written {...{ field, put }} written={text(value)} />;
}

type ValueProps = Pick<InputProps, 'field' | 'value' | 'onChange'>;

function Records({ field, value, onChange, bare }: InputProps) {
  return (
    <Box>
      {!bare && <Box sx={{ fontSize: 13.5, fontWeight: 700, mb: 0.5 }}>{field.label}</Box>}
      <RecordList field={field} value={value} onChange={onChange} />
    </Box>
  );
}

function Lines({ field, value, onChange }: ValueProps) {
  return (
    <TextField
      multiline
      minRows={2}
      label={`${field.label}, one in each line`}
      value={texts(value).join('\n')}
      onChange={({ target }) => onChange(target.value === '' ? [] : target.value.split('\n'))}
    />
  );
}

function Count({ field, value, onChange }: ValueProps) {
  return (
    <TextField
      label={field.label}
      value={text(value)}
      onChange={({ target }) => onChange(/^\d+$/.test(target.value) ? Number(target.value) : target.value)}
      slotProps={{ htmlInput: { inputMode: 'numeric', style: { fontFamily: FIGURES } } }}
    />
  );
}

const EXACT = new Set(['formula', 'key', 'unit', 'symbol', 'default', 'low', 'high', 'limit']);

function Written({ field, written, put }: { field: Field; written: string; put: (next: string) => void }) {
  const exact = EXACT.has(field.kind) || EXACT.has(field.name);
  return (
    <TextField
      label={field.label}
      value={written}
      multiline={field.kind === 'long'}
      onChange={({ target }) => put(target.value)}
      slotProps={{ htmlInput: { style: exact ? { fontFamily: FIGURES } : {}, spellCheck: !exact } }}
    />
  );
}

function OneOf({
  field,
  choices,
  chosen,
  put,
}: {
  field: Field;
  choices: Named[];
  chosen: string;
  put: (next: string) => void;
}) {
  // What is written stays, even where it names nothing any more: the problem is told, nothing is lost.
  const known = choices.some((choice) => choice.key === chosen) || chosen === '';
  const all = known ? choices : [{ key: chosen, label: `${chosen} (not there)` }, ...choices];
  return (
    <TextField select label={field.label} value={chosen} onChange={({ target }) => put(target.value)}>
      {!choices.some((choice) => choice.key === '') && (!field.required || chosen === '') && (
        <MenuItem value="">–</MenuItem>
      )}
      {all.map((named) => (
        <MenuItem key={named.key} value={named.key}>
          {named.label === named.key || field.kind === 'choice'
            ? named.label
            : `${named.label} · ${named.key}`}
        </MenuItem>
      ))}
    </TextField>
  );
}

function Several({
  field,
  choices,
  chosen,
  onChange,
}: {
  field: Field;
  choices: Named[];
  chosen: string[];
  onChange: (value: unknown) => void;
}) {
  const labels = new Map(choices.map((choice) => [choice.key, choice.label]));
  return (
    <Autocomplete
      multiple
      freeSolo
      size="small"
      options={choices.map((choice) => choice.key)}
      getOptionLabel={(key) => labels.get(key) ?? key}
      value={chosen}
      onChange={(_, next) => onChange(next)}
      renderInput={(params) => <TextField {...params} label={field.label} />}
    />
  );
}
