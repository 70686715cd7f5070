import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { choicesOf, pairs, partsOf, texts } from './draft';
import { useWorkshop } from './fields';

interface Props {
  value: unknown;
  onChange: (value: Record<string, unknown> | undefined) => void;
}

/** Under which choices a part exists; always, where nothing is said. */
export function WhenInput({ value, onChange }: Props) {
  const { draft } = useWorkshop();
  const options = partsOf(draft, ['choice']);
  const rows = pairs(value);
  const put = (next: [string, unknown][]) =>
    onChange(next.length === 0 ? undefined : Object.fromEntries(next));
  if (rows.length === 0)
    return (
      <Button disabled={options.length === 0} onClick={() => put([[options[0]?.key ?? '', []]])}>
        Only under a choice …
      </Button>
    );
  return (
    <Box sx={{ display: 'grid', gap: 1 }}>
      {rows.map((row, at) => (
        <Box key={at} sx={{ display: 'grid', gridTemplateColumns: '1fr 1.4fr auto', gap: 1 }}>
          <Condition row={row} onChange={(to) => put(rows.map((old, place) => (place === at ? to : old)))} />
          <Button onClick={() => put(rows.filter((_, place) => place !== at))}>Always</Button>
        </Box>
      ))}
    </Box>
  );
}

type Row = [option: string, wanted: unknown];

function Condition({ row: [option, wanted], onChange }: { row: Row; onChange: (row: Row) => void }) {
  const { draft } = useWorkshop();
  return (
    <>
      <TextField
        select
        label="Only under"
        value={option}
        onChange={({ target }) => onChange([target.value, []])}
      >
        {partsOf(draft, ['choice']).map((part) => (
          <MenuItem key={part.key} value={part.key}>
            {part.label}
          </MenuItem>
        ))}
      </TextField>
      <TextField
        select
        label="at"
        value={typeof wanted === 'string' ? [wanted] : texts(wanted)}
        slotProps={{ select: { multiple: true } }}
        onChange={({ target }) => onChange([option, target.value])}
      >
        {choicesOf(draft, option).map((named) => (
          <MenuItem key={named.key} value={named.key}>
            {named.label}
          </MenuItem>
        ))}
      </TextField>
    </>
  );
}
