import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import TextField from '@mui/material/TextField';
import type { Shapes } from '../../api/client';
import { ink } from '../../identity/tokens';
import { ChoiceField } from './ChoiceField';
import { TRIES } from './ownWork';

type Prelab = Shapes['Prelab'];

interface Props {
  prelab: Prelab;
  /** What this plan lets one ask. */
  offered: Shapes['Offered'][];
  onChange: (prelab: Prelab) => void;
}

/** What students answer before the session: the plan's own lines, what goes wrong and where it leads, own questions. */
export function PrelabField({ prelab, offered, onChange }: Props) {
  const put = (change: Partial<Prelab>) => onChange({ ...prelab, ...change });
  const chosen = (key: string, on: boolean) =>
    offered
      .map((question) => question.key)
      .filter((question) => (question === key ? on : prelab.tasks.includes(question)));
  const usual = offered.filter((question) => question.usual).map((question) => question.key);
  return (
    <Box sx={{ display: 'grid', gap: 2 }}>
      <Box component="fieldset" sx={{ border: 0, p: 0, m: 0 }}>
        <Box component="legend" sx={{ color: ink.inkSoft, fontSize: 14, p: 0, mb: 0.5 }}>
          Every student answers for themselves, judged at once by this plan
        </Box>
        {prelab.tasks.length === 0 && usual.length > 0 && (
          <Button variant="outlined" onClick={() => put({ tasks: usual })}>
            Ask what is usual
          </Button>
        )}
        {offered.map((question) => (
          <FormControlLabel
            key={question.key}
            sx={{ display: 'flex', alignItems: 'flex-start', mr: 0 }}
            control={
              <Checkbox
                checked={prelab.tasks.includes(question.key)}
                onChange={(event) => put({ tasks: chosen(question.key, event.target.checked) })}
              />
            }
            label={
              <Box sx={{ pt: 1 }}>
                {question.text}
                {question.tells && (
                  <Box sx={{ color: ink.inkSoft, fontSize: 13.5 }}>They are told: {question.tells}.</Box>
                )}
              </Box>
            }
          />
        ))}
      </Box>
      <TextField
        multiline
        fullWidth
        minRows={2}
        label="Questions of your own, one a line"
        helperText="Answered in words; you read them."
        value={prelab.questions.join('\n')}
        onChange={(event) => put({ questions: event.target.value ? event.target.value.split('\n') : [] })}
      />
      <ChoiceField
        label="The answer is told"
        value={String(prelab.tries)}
        of={TRIES}
        onChange={(tries) => put({ tries: Number(tries) })}
      />
      <FormControlLabel
        label="A bench reads nothing before its team is ready (you can let anybody in)"
        control={
          <Checkbox checked={prelab.needed} onChange={(event) => put({ needed: event.target.checked })} />
        }
      />
    </Box>
  );
}
