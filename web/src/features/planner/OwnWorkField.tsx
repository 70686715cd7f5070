import Box from '@mui/material/Box';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import type { Shapes } from '../../api/client';
import { ink } from '../../identity/tokens';
import { ChoiceField } from './ChoiceField';
import { Fields } from './Fields';
import { HINTS, MOST_LINES, SHOWS, TRIES, type OwnWork } from './ownWork';

interface Props {
  work: OwnWork;
  /** What the method computes under these choices. */
  lines: Shapes['LineOut'][];
  onChange: (work: OwnWork) => void;
}

/** What students work out themselves, when the computed lines show, and how much a hint tells. */
export function OwnWorkField({ work, lines, onChange }: Props) {
  const put = (change: Partial<typeof work>) => onChange({ ...work, ...change });
  const choose = (key: string, on: boolean) =>
    put({
      lines: lines.map((line) => line.key).filter((line) => (line === key ? on : work.lines.includes(line))),
    });
  return (
    <Box sx={{ display: 'grid', gap: 2 }}>
      <Fields>
        <ChoiceField
          label="The computed lines show"
          value={work.shows}
          of={SHOWS}
          onChange={(shows) => put({ shows })}
        />
        <ChoiceField
          label="A hint tells"
          value={work.hints}
          of={HINTS}
          onChange={(hints) => put({ hints })}
        />
        <ChoiceField
          label="The line itself is told"
          value={String(work.tries)}
          of={TRIES}
          onChange={(tries) => put({ tries: Number(tries) })}
        />
      </Fields>
      <Box component="fieldset" sx={{ border: 0, p: 0, m: 0 }}>
        <Box component="legend" sx={{ color: ink.inkSoft, fontSize: 14, p: 0, mb: 0.5 }}>
          Worked out by students, in this order; lines of the trials for the first that counts
        </Box>
        <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' } }}>
          {lines.map((line) => (
            <FormControlLabel
              key={line.key}
              control={
                <Checkbox
                  checked={work.lines.includes(line.key)}
                  disabled={work.lines.length >= MOST_LINES && !work.lines.includes(line.key)}
                  onChange={(event) => choose(line.key, event.target.checked)}
                />
              }
              label={`${line.label}${line.unit ? `, ${line.unit}` : ''}`}
            />
          ))}
        </Box>
      </Box>
    </Box>
  );
}
