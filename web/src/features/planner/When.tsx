import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { Shapes } from '../../api/client';
import { Fields } from './Fields';
import { NO_OWN_WORK, NO_PRELAB } from './ownWork';
import type { Plan } from './usePlan';
import { counted } from '../../identity/counted';

interface WhenProps {
  plan: Plan;
  put: (change: Partial<Plan>) => void;
  methods: Shapes['MethodCard'][];
  sections: Shapes['SectionLine'][];
}

/** Which experiment, when and for whom. */
export function When({ plan, put, methods, sections }: WhenProps) {
  return (
    <Fields>
      <TextField
        select
        label="Experiment"
        value={plan.method}
        onChange={(event) =>
          put({
            method: event.target.value,
            options: {},
            instruments: {},
            ownWork: NO_OWN_WORK,
            prelab: NO_PRELAB,
            samples: [],
            allSamples: false,
            questions: [],
            takes: {},
          })
        }
      >
        {methods.map((method) => (
          <MenuItem key={method.slug} value={method.slug}>
            {method.title}
          </MenuItem>
        ))}
      </TextField>
      <TextField
        select
        label="Section"
        value={plan.section ?? ''}
        onChange={(event) => {
          const section = Number(event.target.value);
          put({ section, guests: plan.guests.filter((guest) => guest !== section) });
        }}
      >
        {sections.map((section) => (
          <MenuItem key={section.id} value={section.id}>
            {section.name}, {counted(section.students, 'student')}
          </MenuItem>
        ))}
      </TextField>
      <Together {...{ plan, put, sections }} />
      <TextField
        label="Title, as the class will see it"
        value={plan.title}
        onChange={(event) => put({ title: event.target.value })}
        slotProps={{
          htmlInput: {
            maxLength: 120,
            placeholder: methods.find((method) => method.slug === plan.method)?.title,
          },
          inputLabel: { shrink: true },
        }}
      />
      <WhereAndHowLong {...{ plan, put }} />
    </Fields>
  );
}

/** Other sections that come together with the first. */
function Together({ plan, put, sections }: Pick<WhenProps, 'plan' | 'put' | 'sections'>) {
  if (sections.length < 2) return null;
  return (
    <TextField
      select
      label="Together with"
      value={plan.guests}
      onChange={(event) => put({ guests: event.target.value as unknown as number[] })}
      slotProps={{
        select: {
          multiple: true,
          displayEmpty: true,
          renderValue: (chosen) =>
            sections
              .filter((section) => (chosen as number[]).includes(section.id))
              .map((section) => section.name)
              .join(', ') || 'no other section',
        },
        inputLabel: { shrink: true },
      }}
    >
      {sections
        .filter((section) => section.id !== plan.section)
        .map((section) => (
          <MenuItem key={section.id} value={section.id}>
            {section.name}, {counted(section.students, 'student')}
          </MenuItem>
        ))}
    </TextField>
  );
}

function WhereAndHowLong({ plan, put }: Pick<WhenProps, 'plan' | 'put'>) {
  return (
    <>
      <TextField
        label="Room"
        value={plan.room}
        onChange={(event) => put({ room: event.target.value })}
        slotProps={{ htmlInput: { maxLength: 60 } }}
      />
      <TextField
        label="Starts"
        type="datetime-local"
        required
        value={plan.starts}
        onChange={(event) => put({ starts: event.target.value })}
        slotProps={{ inputLabel: { shrink: true } }}
      />
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1 }}>
        <TextField
          label="Minutes"
          type="number"
          required
          value={plan.minutes}
          onChange={(event) => put({ minutes: event.target.value })}
          slotProps={{ htmlInput: { min: 10, max: 600 } }}
        />
        <TextField
          label="Benches"
          type="number"
          required
          value={plan.benches}
          onChange={(event) => put({ benches: event.target.value })}
          slotProps={{ htmlInput: { min: 1, max: 48 } }}
        />
      </Box>
    </>
  );
}
