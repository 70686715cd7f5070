import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';

interface Props<Key extends string> {
  label: string;
  value: Key;
  of: readonly (readonly [Key, string])[];
  onChange: (key: Key) => void;
}

/** One of a few, by its words. */
export function ChoiceField<Key extends string>({ label, value, of, onChange }: Props<Key>) {
  return (
    <TextField select label={label} value={value} onChange={(event) => onChange(event.target.value as Key)}>
      {of.map(([key, words]) => (
        <MenuItem key={key} value={key}>
          {words}
        </MenuItem>
      ))}
    </TextField>
  );
}
