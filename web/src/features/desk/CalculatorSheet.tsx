import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { type Shapes } from '../../api/client';
import { ChartView } from '../../charts/ChartView';
import { Pairs } from '../../identity/Pairs';
import { Sheet } from '../../identity/Sheet';
import { accent, FIGURES, ink } from '../../identity/tokens';
import { keepOnDesk, useWorkedOut } from './useDesk';
import { NotDone } from '../../identity/NotDone';

/** One calculator: its fields, the answer as they are written, and how it is worked. */
export function CalculatorSheet({ calculator }: { calculator: Shapes['CalculatorOut'] }) {
  const [fields, setFields] = useState<Record<string, string>>({});
  const worked = useWorkedOut(calculator.key, fields);
  return (
    <Sheet title={calculator.title} note={calculator.lead}>
      <Box
        sx={{
          display: 'grid',
          gap: 2.5,
          gridTemplateColumns: { xs: '1fr', md: '300px minmax(0, 1fr)' },
          pt: 1,
        }}
      >
        <Box sx={{ display: 'grid', gap: 1.5, alignContent: 'start' }}>
          {calculator.fields.map((field, number) => (
            <DeskField
              key={field.key}
              field={field}
              first={number === 0}
              text={fields[field.key] ?? ''}
              onChange={(text) => setFields({ ...fields, [field.key]: text })}
            />
          ))}
        </Box>
        <Box sx={{ minWidth: 0 }}>
          {worked.error ? (
            <NotDone lead="Not yet." error={worked.error} />
          ) : (
            worked.data && <Answer title={calculator.title} worked={worked.data} stale={worked.stale} />
          )}
        </Box>
      </Box>
    </Sheet>
  );
}

interface FieldProps {
  field: Shapes['DeskField'];
  first: boolean;
  text: string;
  onChange: (text: string) => void;
}

function DeskField({ field, first, text, onChange }: FieldProps) {
  const choices = field.choices.map(([key = '', word = '']) => (
    <MenuItem key={key} value={key}>
      {word}
    </MenuItem>
  ));
  return (
    <TextField
      select={choices.length > 0}
      multiline={field.long}
      minRows={field.long ? 4 : undefined}
      autoFocus={first}
      label={field.label}
      helperText={field.help}
      placeholder={field.example}
      value={text || (choices.length > 0 ? field.example : '')}
      onChange={(event) => onChange(event.target.value)}
      slotProps={{
        inputLabel: { shrink: true },
        htmlInput: { style: { fontFamily: FIGURES }, spellCheck: false, autoCapitalize: 'off' },
      }}
    >
      {choices.length > 0 ? choices : undefined}
    </TextField>
  );
}

interface AnswerProps {
  title: string;
  worked: Shapes['WorkedOut'];
  /** What is written now is not worked yet. */
  stale: boolean;
}

/** The answer and its working; a number can be put aside for a plan. */
function Answer({ title, worked, stale }: AnswerProps) {
  const [kept, setKept] = useState('');
  return (
    <Box aria-live="polite" aria-busy={stale} sx={{ opacity: stale ? 0.6 : 1 }}>
      <Box sx={{ fontFamily: FIGURES, fontSize: 24, fontWeight: 700, lineHeight: 1.25, mb: 1 }}>
        {worked.result}
      </Box>
      {worked.chart && <ChartView chart={worked.chart} colour={accent('solutions')} />}
      <Pairs rows={worked.steps.map(({ label, text }) => [label, text])} />
      {worked.value && (
        <Box sx={{ mt: 1.5, color: ink.inkSoft, fontSize: 14 }}>
          <Button
            size="small"
            variant="outlined"
            disabled={stale}
            onClick={() => {
              keepOnDesk(title, worked);
              setKept(worked.result);
            }}
          >
            Keep it for a plan
          </Button>{' '}
          {kept === worked.result && 'Kept: a plan offers it where a number in this unit is asked for.'}
        </Box>
      )}
    </Box>
  );
}
