import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';

const USUAL = ['Misread the scale', 'Slip while typing', 'Wrong line'];

/** Why a reading is corrected: one touch for the usual, words for the rest. */
export function Reason({ value, onChange }: { value: string; onChange: (reason: string) => void }) {
  return (
    <Box>
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', mb: 1 }}>
        {USUAL.map((reason) => (
          <Button
            key={reason}
            size="small"
            variant={value === reason ? 'contained' : 'outlined'}
            onClick={() => onChange(reason)}
          >
            {reason}
          </Button>
        ))}
      </Box>
      <TextField
        label="Why is it corrected?"
        value={value}
        onChange={(event) => onChange(event.target.value)}
        slotProps={{ htmlInput: { maxLength: 300 } }}
      />
    </Box>
  );
}
