import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { Shapes } from '../../api/client';
import { useSessions, useTakings } from '../../api/hooks';
import { day } from '../../identity/time';
import { Fields } from './Fields';
import type { Plan } from './usePlan';

type Take = Plan['takes'][string];

const NONE = 0;
const OWN = 'as planned here';

interface Props {
  plan: Plan;
  put: (change: Partial<Plan>) => void;
  /** The session that is being changed, which cannot go on with itself. */
  changing?: number;
}

/** The session whose results this one goes on with, and what is taken from it. */
export function PartsField({ plan, put, changing }: Props) {
  const sessions = (useSessions().data ?? []).filter(
    (one) => one.id !== changing && one.state !== 'cancelled',
  );
  const offered = useTakings(plan.follows, plan);
  const usual = offered.filter((one) => one.usual && !plan.takes[one.option]);
  const take = (chosen: Record<string, Take>) => put({ takes: { ...plan.takes, ...chosen } });
  return (
    <Box sx={{ display: 'grid', gap: 2 }}>
      <Fields>
        <TextField
          select
          label="Goes on with"
          helperText="What was found there stands for numbers of this plan, with its uncertainty; teams stand as there."
          value={plan.follows ?? NONE}
          onChange={(event) => put({ follows: Number(event.target.value) || null, takes: {} })}
        >
          <MenuItem value={NONE}>nothing: it stands by itself</MenuItem>
          {sessions.map((one) => (
            <MenuItem key={one.id} value={one.id}>
              {one.title}, {day(one.starts_at)}
            </MenuItem>
          ))}
        </TextField>
      </Fields>
      {usual.length > 0 && (
        <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
          {(['bench', 'class'] as const).map((of) => (
            <Button
              key={of}
              variant="outlined"
              onClick={() =>
                take(
                  Object.fromEntries(usual.map((one) => [one.option, { key: one.usual, trial: null, of }])),
                )
              }
            >
              Take the line: {WHOSE[of]}
            </Button>
          ))}
        </Box>
      )}
      {plan.follows !== null && offered.length === 0 && <NothingFits />}
      <Fields>
        {offered.map((one) => (
          <Taken
            key={one.option}
            taking={one}
            take={plan.takes[one.option]}
            onChange={take}
            drop={put}
            plan={plan}
          />
        ))}
      </Fields>
    </Box>
  );
}

const WHOSE = { bench: 'each bench’s own', class: 'mean of the class' } as const;

function NothingFits() {
  return (
    <Box sx={{ fontSize: 14 }}>
      Nothing that is found there fits a number of this plan. A line can be taken where the line is given.
    </Box>
  );
}

interface TakenProps {
  taking: Shapes['Taking'];
  take: Take | undefined;
  plan: Plan;
  onChange: (chosen: Record<string, Take>) => void;
  drop: (change: Partial<Plan>) => void;
}

/** What stands for one number of the plan. */
function Taken({ taking, take, plan, onChange, drop }: TakenProps) {
  const ways = taking.offered.flatMap((one) =>
    (['bench', 'class'] as const).map((of) => ({
      take: { key: one.key, trial: one.trial, of },
      words: `${one.label}, ${WHOSE[of]}`,
    })),
  );
  const here = ways.findIndex(
    (way) => way.take.key === take?.key && way.take.trial === take.trial && way.take.of === take.of,
  );
  return (
    <TextField
      select
      label={taking.label}
      value={here}
      onChange={(event) => {
        const way = ways[Number(event.target.value)];
        if (way) return onChange({ [taking.option]: way.take });
        const rest = Object.entries(plan.takes).filter(([option]) => option !== taking.option);
        drop({ takes: Object.fromEntries(rest) });
      }}
    >
      <MenuItem value={-1}>{OWN}</MenuItem>
      {ways.map((way, place) => (
        <MenuItem key={way.words} value={place}>
          {way.words}
        </MenuItem>
      ))}
    </TextField>
  );
}
