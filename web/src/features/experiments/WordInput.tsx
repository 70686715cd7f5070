import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { Shapes } from '../../api/client';
import { ink } from '../../identity/tokens';
import { text, type Entry } from './draft';
import { recordOf, useWorkshop } from './fields';

interface Props {
  field: Shapes['FieldOut'];
  value: unknown;
  onChange: (value: Entry | undefined) => void;
}

const inset = { borderLeft: `3px solid ${ink.rule}`, pl: 2, py: 0.5 } as const;
const isEntry = (value: unknown): value is Entry => typeof value === 'object' && value !== null;

/** A rule or guide: its kind, and what that kind asks for. */
export function WordInput({ field, value, onChange }: Props) {
  const workshop = useWorkshop();
  const kinds = workshop.vocabulary.filter((record) => record.use === field.of[0]);
  const entry = isEntry(value) ? value : {};
  const record = recordOf(workshop, text(entry.kind));
  return (
    <Box sx={inset}>
      <TextField
        select
        label={field.label}
        value={record ? record.name : ''}
        helperText={record?.help}
        onChange={({ target }) => onChange(recordOf(workshop, target.value)?.start)}
      >
        <MenuItem value="">–</MenuItem>
        {kinds.map((kind) => (
          <MenuItem key={kind.name} value={kind.name}>
            {kind.label}
          </MenuItem>
        ))}
      </TextField>
      {record && <workshop.Fields key={record.name} record={record} entry={entry} onChange={onChange} />}
    </Box>
  );
}

/** A record that may be there or not, such as the wait of a step. */
export function OneRecord({ field, value, onChange }: Props) {
  const workshop = useWorkshop();
  const record = recordOf(workshop, field.of[0] ?? '');
  if (!record) return null;
  if (!isEntry(value))
    return (
      <Button variant="outlined" onClick={() => onChange(record.start)}>
        Add: {field.label.toLowerCase()}
      </Button>
    );
  return (
    <Box sx={inset}>
      <Box sx={{ display: 'flex', justifyContent: 'space-between', alignItems: 'center' }}>
        <strong>{field.label}</strong>
        {!field.required && <Button onClick={() => onChange(undefined)}>Remove</Button>}
      </Box>
      <workshop.Fields record={record} entry={value} onChange={onChange} />
    </Box>
  );
}
