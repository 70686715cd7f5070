import Box from '@mui/material/Box';
import FormControlLabel from '@mui/material/FormControlLabel';
import InputAdornment from '@mui/material/InputAdornment';
import Radio from '@mui/material/Radio';
import RadioGroup from '@mui/material/RadioGroup';
import TextField from '@mui/material/TextField';
import type { Shapes } from '../../api/client';
import { FIGURES, ink } from '../../identity/tokens';

export interface AnswerProps {
  task: Shapes['TaskState'];
  text: string;
  setText: (text: string) => void;
  reason: string;
  setReason: (reason: string) => void;
  /** Nothing more is answered. */
  settled: boolean;
  colour: string;
}

const LONGEST = { htmlInput: { maxLength: 600 } };

/** A number with its unit, as people type it. */
export function LineAnswer({ task, text, setText, settled }: AnswerProps) {
  return (
    <TextField
      label="Your number"
      value={text}
      disabled={settled}
      onChange={(event) => setText(event.target.value)}
      autoComplete="off"
      helperText={`In ${task.unit || 'plain numbers'}, or with another unit behind it.`}
      sx={{ maxWidth: 320 }}
      slotProps={{
        htmlInput: { maxLength: 40, style: { fontFamily: FIGURES, fontSize: 19, fontWeight: 700 } },
        input: { endAdornment: <InputAdornment position="end">{task.unit}</InputAdornment> },
      }}
    />
  );
}

const FRAMED = { m: 0, pr: 1.5, minHeight: 48, borderRadius: 2, border: '1.5px solid' };

/** A choice, and why. */
export function ChoiceAnswer({ task, text, setText, reason, setReason, settled, colour }: AnswerProps) {
  return (
    <>
      <RadioGroup
        aria-label={task.text}
        value={text}
        onChange={(_, key) => setText(key)}
        sx={{ display: 'grid', gap: 1, gridTemplateColumns: { sm: 'repeat(auto-fit, minmax(170px, 1fr))' } }}
      >
        {task.choices.map((choice) => (
          <FormControlLabel
            key={choice.key}
            value={choice.key}
            disabled={settled}
            label={choice.label}
            control={<Radio />}
            sx={{ ...FRAMED, borderColor: text === choice.key ? colour : ink.rule }}
          />
        ))}
      </RadioGroup>
      {settled ? (
        reason && <Box sx={{ color: ink.inkSoft }}>Because: {reason}</Box>
      ) : (
        <TextField
          label="Because"
          value={reason}
          onChange={(event) => setReason(event.target.value)}
          autoComplete="off"
          fullWidth
          slotProps={LONGEST}
        />
      )}
    </>
  );
}

/** An answer in one's own words. */
export function WordsAnswer({ text, setText, settled }: AnswerProps) {
  return (
    <TextField
      label="Your answer"
      multiline
      minRows={2}
      fullWidth
      value={text}
      disabled={settled}
      onChange={(event) => setText(event.target.value)}
      slotProps={LONGEST}
    />
  );
}
