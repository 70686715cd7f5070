import Box from '@mui/material/Box';
import { useState, type ReactNode } from 'react';
import type { Shapes } from '../../api/client';
import { Folded } from '../../identity/Folded';
import { Mathml } from '../../identity/Mathml';
import { ink } from '../../identity/tokens';
import { pairs, text } from './draft';
import { FieldInput, isWide } from './FieldInput';
import { useWorkshop, type FieldsProps } from './fields';

/** The fields of a record: what it must have, and below what it may have. */
export function RecordFields({ record, entry, onChange, only }: FieldsProps) {
  const { typeset } = useWorkshop();
  // Settled when the record is opened: a field must not move while somebody writes in it.
  const [atOnce] = useState(() =>
    record.fields
      .filter((field) => field.often || entry[field.name] !== undefined)
      .map((field) => field.name),
  );
  const named = (names: readonly string[]) =>
    names.flatMap((name) => record.fields.filter((field) => field.name === name));
  const fields = named(only ?? atOnce);
  const more = only ? [] : record.fields.filter((field) => !atOnce.includes(field.name));
  const put = (name: string) => (value: unknown) =>
    onChange(
      Object.fromEntries(pairs({ ...entry, [name]: value }).filter(([, content]) => content !== undefined)),
    );
  const strange = pairs(entry).filter(
    ([name]) => name !== 'kind' && !record.fields.some((field) => field.name === name),
  );
  const input = (field: Shapes['FieldOut']) => (
    <Box key={field.name} sx={{ gridColumn: isWide(field) ? '1 / -1' : 'auto' }}>
      <FieldInput entry={entry} field={field} bare={fields.length === 1} onChange={put(field.name)} />
    </Box>
  );
  const formula = record.name === 'quantity' ? typeset(text(entry.key)) : '';
  return (
    <>
      <Grid>{fields.map(input)}</Grid>
      {more.length > 0 && (
        <Folded title={`More: ${more.map((field) => field.label.toLowerCase()).join(', ')}`}>
          <Grid>{more.map(input)}</Grid>
        </Folded>
      )}
      {formula && (
        <Box sx={{ mt: 1.5, fontSize: 18, overflowX: 'auto', color: ink.ink }}>
          <Mathml of={formula} />
        </Box>
      )}
      {!only && strange.length > 0 && (
        <Box sx={{ mt: 1, fontSize: 14, color: ink.inkSoft }}>
          Also written here, and not understood: {strange.map(([name]) => name).join(', ')}.
        </Box>
      )}
    </>
  );
}

const Grid = ({ children }: { children: ReactNode }) => (
  <Box
    sx={{
      display: 'grid',
      gap: 1.5,
      pt: 1,
      gridTemplateColumns: { xs: 'minmax(0, 1fr)', sm: 'minmax(0, 1fr) minmax(0, 1fr)' },
      alignItems: 'start',
    }}
  >
    {children}
  </Box>
);
