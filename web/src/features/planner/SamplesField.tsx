import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import type { Shapes } from '../../api/client';
import { FIGURES, ink } from '../../identity/tokens';
import type { Sample } from './usePlan';

interface Props {
  samples: Sample[];
  /** The results that can be compared with an accepted value. */
  results: Pick<Shapes['Comparable'], 'key' | 'label' | 'unit'>[];
  onChange: (samples: Sample[]) => void;
}

/** The unknowns or products, dealt out to the benches in turn; their accepted values stay hidden until release. */
export function SamplesField({ samples, results, onChange }: Props) {
  const put = (at: number, sample: Sample) =>
    onChange(samples.map((old, place) => (place === at ? sample : old)));
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
          <Button
            sx={{ justifySelf: 'start' }}
            onClick={() => onChange(samples.filter((_, place) => place !== at))}
          >
            Remove
          </Button>
        </Box>
      ))}
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap' }}>
        <Button variant="outlined" onClick={() => onChange([...samples, { name: '', accepted: {} }])}>
          {samples.length > 0 ? 'Another sample' : 'Add a sample'}
        </Button>
        <Box sx={{ color: ink.inkSoft, fontSize: 14 }}>
          Dealt out to the benches in turn. No student sees an accepted value before you release it.
        </Box>
      </Box>
    </Box>
  );
}
