import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { Shapes } from '../../api/client';
import { FIGURES } from '../../identity/tokens';
import { pairs, partsOf, text } from './draft';
import { useWorkshop } from './fields';

interface Props {
  field: Shapes['FieldOut'];
  value: unknown;
  onChange: (value: Record<string, string> | undefined) => void;
}

/** Names with a text each: what a fault does to a reading, what a choice sets. */
export function PairsInput({ field, value, onChange }: Props) {
  const { draft } = useWorkshop();
  const kinds =
    field.name === 'changes'
      ? ['reading', 'series']
      : field.name === 'sets' || field.name === 'options'
        ? ['number', 'choice', 'list']
        : field.name === 'instruments'
          ? ['role']
          : [];
  const known = partsOf(draft, kinds);
  const rows = pairs(value).map(([name, content]) => [name, text(content)] as const);
  const put = (next: (readonly [string, string])[]) =>
    onChange(next.length === 0 && !field.required ? undefined : Object.fromEntries(next));
  return (
    <Box>
      <Box sx={{ fontSize: 13.5, fontWeight: 700, mb: 0.75 }}>{field.label}</Box>
      {rows.map(([name, content], at) => {
        const change = (to: readonly [string, string]) =>
          put(rows.map((old, place) => (place === at ? to : old)));
        return (
          <Box
            key={at}
            sx={{
              display: 'grid',
              gridTemplateColumns: '1fr 1.4fr auto',
              gap: 1,
              mb: 1,
              alignItems: 'center',
            }}
          >
            <TextField
              select={kinds.length > 0}
              label="Of"
              value={name}
              onChange={({ target }) => change([target.value, content])}
            >
              {!known.some((named) => named.key === name) && <MenuItem value={name}>{name || '–'}</MenuItem>}
              {known.map((named) => (
                <MenuItem key={named.key} value={named.key}>
                  {named.label}
                </MenuItem>
              ))}
            </TextField>
            <TextField
              label={field.name === 'changes' ? 'Becomes' : 'Is'}
              value={content}
              onChange={({ target }) => change([name, target.value])}
              slotProps={{ htmlInput: { style: { fontFamily: FIGURES } } }}
            />
            <Button onClick={() => put(rows.filter((_, place) => place !== at))}>Remove</Button>
          </Box>
        );
      })}
      <Button
        variant="outlined"
        onClick={() => put([...rows, ['', '']])}
        disabled={rows.some(([n]) => n === '')}
      >
        Add one
      </Button>
    </Box>
  );
}
