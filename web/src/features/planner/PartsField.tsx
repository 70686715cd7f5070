import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { Shapes } from '../../api/client';
import { useSessions, useTakings } from '../../api/hooks';
import { day } from '../../time/time';
import { Fields } from './Fields';
import type { Plan } from './usePlan';

type Takes = Plan['takes'];

interface Props {
  plan: Plan;
  put: (change: Partial<Plan>) => void;
  /** The session that is being changed, which cannot go on with itself. */
  changing?: number;
}

/** The session whose results this one goes on with, and what is taken from it. */
export function PartsField({ plan, put, changing }: Props) {
  const earlier = (useSessions().data ?? []).filter(
    (session) => session.id !== changing && session.state !== 'cancelled',
  );
  const offered = useTakings(plan.follows, plan);
  return (
    <Fields>
      <TextField
        select
        label="Goes on with"
        helperText="What is found there stands for numbers of this plan, with its uncertainty; teams stand as there."
        value={plan.follows ?? 0}
        onChange={(event) => put({ follows: Number(event.target.value) || null, takes: {} })}
      >
        <MenuItem value={0}>nothing: it stands by itself</MenuItem>
        {earlier.map((session) => (
          <MenuItem key={session.id} value={session.id}>
            {session.title}, {day(session.starts_at)}
          </MenuItem>
        ))}
      </TextField>
      {plan.follows !== null && offered.length === 0 && (
        <Box sx={{ fontSize: 14 }}>
          Nothing that is found there fits a number of this plan. A line fits where the line is given.
        </Box>
      )}
      {wanted(offered).map((wantedAtOnce) => (
        <Wanted
          key={wantedAtOnce.label}
          wanted={wantedAtOnce}
          takes={plan.takes}
          onChange={(chosen) => {
            const others = Object.entries(plan.takes).filter(
              ([option]) => !wantedAtOnce.options.includes(option),
            );
            put({ takes: { ...Object.fromEntries(others), ...chosen } });
          }}
        />
      ))}
    </Fields>
  );
}

/** What is taken in one choice: a number of the plan, or all numbers of a line. */
interface WantedAtOnce {
  label: string;
  options: string[];
  ways: { words: string; takes: Takes }[];
}

const WHOSE = [
  ['bench', 'each bench’s own'],
  ['class', 'mean of the class'],
] as const;

function wanted(offered: Shapes['Taking'][]): WantedAtOnce[] {
  const line = offered.filter((offer) => offer.usual);
  const whole = line.length > 0 ? [theLine(line)] : [];
  return [...whole, ...offered.filter((offer) => !offer.usual).map(oneNumber)];
}

const theLine = (line: Shapes['Taking'][]): WantedAtOnce => ({
  label: 'The line that is given',
  options: line.map((offer) => offer.option),
  ways: WHOSE.map(([of, words]) => ({
    words: `as found there, ${words}`,
    takes: Object.fromEntries(line.map((offer) => [offer.option, { key: offer.usual, trial: null, of }])),
  })),
});

const oneNumber = ({ option, label, offered }: Shapes['Taking']): WantedAtOnce => ({
  label,
  options: [option],
  ways: offered.flatMap((offer) =>
    WHOSE.map(([of, words]) => ({
      words: `${offer.label}, ${words}`,
      takes: { [option]: { key: offer.key, trial: offer.trial, of } },
    })),
  ),
});

interface WantedProps {
  wanted: WantedAtOnce;
  takes: Takes;
  onChange: (chosen: Takes) => void;
}

function Wanted({ wanted: { label, options, ways }, takes, onChange }: WantedProps) {
  const isTaken = (way: WantedAtOnce['ways'][number]) =>
    options.every((option) => {
      const [there, here] = [way.takes[option], takes[option]];
      return there?.key === here?.key && there?.trial === here?.trial && there?.of === here?.of;
    });
  return (
    <TextField
      select
      label={label}
      value={ways.findIndex(isTaken)}
      onChange={(event) => onChange(ways[Number(event.target.value)]?.takes ?? {})}
    >
      <MenuItem value={-1}>as planned here</MenuItem>
      {ways.map((way, place) => (
        <MenuItem key={way.words} value={place}>
          {way.words}
        </MenuItem>
      ))}
    </TextField>
  );
}
