import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { Shapes } from '../../api/client';
import { FIGURES, ink } from '../../identity/tokens';
import { OwnChoices } from './OwnChoices';
import type { Sample } from './usePlan';

interface Props {
  samples: Sample[];
  /** The results that can be compared with an accepted value. */
  results: Pick<Shapes['Comparable'], 'key' | 'label' | 'unit'>[];
  /** What may be chosen otherwise for a sample than for the session. */
  options: Shapes['OptionOut'][];
  /** Whether each bench works with all of them, instead of with one in turn. */
  all: boolean;
  onChange: (change: { samples?: Sample[]; allSamples?: boolean }) => void;
}

/** The unknowns or products, for the benches in turn or all for each; their accepted values stay hidden until release. */
export function SamplesField({ samples, results, options, all, onChange }: Props) {
  const put = (at: number, sample: Sample) =>
    onChange({ samples: samples.map((old, place) => (place === at ? sample : old)) });
  return (
    <Box sx={{ display: 'grid', gap: 1.5 }}>
      {samples.map((sample, at) => (
        <Box
          key={at}
          sx={{
            display: 'grid',
            gridTemplateColumns: { xs: '1fr', sm: 'repeat(auto-fill, minmax(250px, 1fr))' },
            gap: 1,
            alignItems: 'start',
            ...(at > 0 && { borderTop: `1px solid ${ink.ruleSoft}`, pt: 1.5 }),
          }}
        >
          <TextField
            label={`Sample ${at + 1}, as its label says`}
            value={sample.name}
            onChange={(event) => put(at, { ...sample, name: event.target.value })}
          />
          {results.map(({ key, label, unit }) => (
            <TextField
              key={key}
              label={`Accepted ${label.toLowerCase()}${unit ? `, ${unit}` : ''}`}
              value={sample.accepted[key] ?? ''}
              onChange={({ target }) =>
                put(at, { ...sample, accepted: { ...sample.accepted, [key]: target.value } })
              }
              slotProps={{
                htmlInput: { style: { fontFamily: FIGURES }, inputMode: 'decimal', maxLength: 40 },
              }}
            />
          ))}
          <OwnChoices
            options={options}
            chosen={sample.options}
            onChange={(chosen) => put(at, { ...sample, options: chosen })}
          />
          <Button
            sx={{ justifySelf: 'start' }}
            onClick={() => onChange({ samples: samples.filter((_, place) => place !== at) })}
          >
            Remove
          </Button>
        </Box>
      ))}
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap' }}>
        <Button
          variant="outlined"
          onClick={() => onChange({ samples: [...samples, { name: '', accepted: {}, options: {} }] })}
        >
          {samples.length > 0 ? 'Another sample' : 'Add a sample'}
        </Button>
        {samples.length > 1 && <ForWhom all={all} onChange={(allSamples) => onChange({ allSamples })} />}
        <Box sx={{ color: ink.inkSoft, fontSize: 14 }}>
          No student sees an accepted value before you release it.
        </Box>
      </Box>
    </Box>
  );
}

/** One sample for each bench in turn, or all of them one after the other at each. */
function ForWhom({ all, onChange }: { all: boolean; onChange: (all: boolean) => void }) {
  return (
    <TextField
      select
      label="At each bench"
      value={all ? 'all' : 'one'}
      onChange={(event) => onChange(event.target.value === 'all')}
      sx={{ minWidth: 260 }}
    >
      <MenuItem value="one">One of them, in turn</MenuItem>
      <MenuItem value="all">All of them, one after the other</MenuItem>
    </TextField>
  );
}
