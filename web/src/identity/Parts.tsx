import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { ink } from './tokens';

interface Props<Part extends string> {
  label: string;
  parts: readonly (readonly [Part, string])[];
  chosen: Part;
  onChoose: (part: Part) => void;
}

/** On a phone the parts of a view keep their places as sheets; one is seen at a time. */
export function Parts<Part extends string>({ label, parts, chosen, onChoose }: Props<Part>) {
  return (
    <Box
      component="nav"
      aria-label={label}
      sx={{
        display: 'grid',
        gridTemplateColumns: `repeat(${parts.length}, 1fr)`,
        position: 'sticky',
        bottom: 0,
        bgcolor: ink.sheet,
        borderTop: `1px solid ${ink.rule}`,
        p: 0.5,
        gap: 0.5,
      }}
    >
      {parts.map(([key, name]) => (
        <Button
          key={key}
          variant={chosen === key ? 'contained' : 'text'}
          aria-pressed={chosen === key}
          onClick={() => onChoose(key)}
        >
          {name}
        </Button>
      ))}
    </Box>
  );
}
