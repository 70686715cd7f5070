import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { TextInput } from '../../identity/TextInput';

const USUAL = ['Misread', 'Mistyped', 'Wrong line'];

/** Why a reading is corrected: one touch for the usual, words for the rest. */
export function Reason({ value, onChange }: { value: string; onChange: (reason: string) => void }) {
  const [other, setOther] = useState(false);
  const choose = (reason: string, isOther: boolean) => {
    setOther(isOther);
    onChange(reason);
  };
  return (
    <Box sx={{ display: 'grid', gap: 1 }}>
      <Box
        role="group"
        aria-label="Why is it corrected?"
        sx={{ display: 'flex', gap: 0.75, flexWrap: 'wrap' }}
      >
        {USUAL.map((reason) => (
          <Offered
            key={reason}
            name={reason}
            chosen={!other && value === reason}
            onChoose={() => choose(reason, false)}
          />
        ))}
        <Offered name="Other…" chosen={other} onChoose={() => choose('', true)} />
      </Box>
      {other && (
        <TextInput
          label="Why is it corrected?"
          value={value}
          onChange={(event) => onChange(event.target.value)}
          longest={300}
        />
      )}
    </Box>
  );
}

function Offered({ name, chosen, onChoose }: { name: string; chosen: boolean; onChoose: () => void }) {
  return (
    <Button
      variant={chosen ? 'contained' : 'outlined'}
      aria-pressed={chosen}
      onClick={onChoose}
      sx={{ px: 1, minWidth: 0, fontSize: 13.5, fontWeight: 400 }}
    >
      {name}
    </Button>
  );
}
