import FormControl from '@mui/material/FormControl';
import InputLabel from '@mui/material/InputLabel';
import OutlinedInput, { type OutlinedInputProps } from '@mui/material/OutlinedInput';
import { useId } from 'react';

type Props = { label: string; longest: number } & Pick<
  OutlinedInputProps,
  'value' | 'onChange' | 'onFocus' | 'multiline' | 'minRows' | 'maxRows' | 'sx'
>;

/** A field for words that has the focus at once. The toolkit's own field brings lists and menus with it, which a bench
 * does without.
 */
export function TextInput({ label, longest, sx, ...given }: Props) {
  const id = useId();
  return (
    <FormControl fullWidth size="small" sx={sx}>
      <InputLabel htmlFor={id}>{label}</InputLabel>
      <OutlinedInput id={id} label={label} autoFocus inputProps={{ maxLength: longest }} {...given} />
    </FormControl>
  );
}
