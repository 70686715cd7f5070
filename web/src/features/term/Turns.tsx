import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { type Shapes } from '../../api/client';
import { useSolveTurns } from '../../api/hooks';
import { Lanes, type Move } from '../../charts/Lanes';
import { Sheet } from '../../identity/Sheet';
import { accent, ink } from '../../identity/tokens';
import { VerdictLine } from '../../identity/Verdict';
import { NotDone } from '../../identity/NotDone';

type Pin = Shapes['PinRequest'];

const GROUPS = [1, 2, 3, 4];
const USUALLY_APART = 20;
const APART = [10, 15, 20, 30, 45, 60];

/** Who is where, when: as it was solved; a turn that is put elsewhere stays there, and the rest is solved anew. */
export function Turns({ plan, timetable }: { plan: Shapes['SessionPlan']; timetable: Shapes['Timetable'] }) {
  const { card } = plan;
  const solve = useSolveTurns(card.id);
  const { coming } = plan;
  const [apart, setApart] = useState({ groups: coming.groups, apart: coming.apart || USUALLY_APART });
  const may = card.state === 'planned';
  const pins = pinned(timetable);
  const again = (wanted: Pin[], groups = apart) =>
    solve.mutate({ pins: wanted, groups: groups.groups, apart: groups.groups > 1 ? groups.apart : 0 });
  const onMove: Move = (lane, turn, start, piece) => {
    const moved = turn.benches.map((bench) => ({
      bench,
      equipment: lane.equipment,
      value: turn.value,
      piece,
      start,
    }));
    again([...pins.filter((pin) => !moved.some((other) => same(pin, other))), ...moved]);
  };
  return (
    <Sheet title="Who is where, when" note={timetable.label}>
      {timetable.minutes > card.minutes && (
        <VerdictLine level="look" lead="Too long.">
          The turns take {timetable.minutes} minutes; the session has {card.minutes}.
        </VerdictLine>
      )}
      <Box sx={{ opacity: solve.isPending ? 0.55 : 1 }} aria-busy={solve.isPending}>
        <Lanes
          timetable={timetable}
          colour={accent(card.family)}
          begins={card.starts_at}
          onMove={may && !solve.isPending ? onMove : undefined}
        />
      </Box>
      <NotDone lead="Not solved." error={solve.error} />
      {may && (
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center', mt: 1 }}>
          <Groups
            value={apart}
            onChange={(groups) => {
              setApart(groups);
              again([], groups);
            }}
          />
          <Button size="small" disabled={solve.isPending} onClick={() => again(pins)}>
            {solve.isPending ? 'Solving …' : 'Solve anew'}
          </Button>
          {pins.length > 0 && (
            <Button size="small" disabled={solve.isPending} onClick={() => again([])}>
              Take all pins out
            </Button>
          )}
          <Box sx={{ color: ink.inkSoft, fontSize: 13.5 }}>
            Drag a turn, or pick it and use the arrow keys and Enter: it stays pinned, the rest is solved
            anew.
          </Box>
        </Box>
      )}
    </Sheet>
  );
}

interface GroupsProps {
  value: { groups: number; apart: number };
  onChange: (value: { groups: number; apart: number }) => void;
}

/** Whether all come at once, or in groups one after the other. */
function Groups({ value, onChange }: GroupsProps) {
  return (
    <>
      <TextField
        select
        size="small"
        label="They come"
        fullWidth={false}
        sx={{ width: 150 }}
        value={value.groups}
        onChange={(event) => onChange({ ...value, groups: Number(event.target.value) })}
      >
        {GROUPS.map((groups) => (
          <MenuItem key={groups} value={groups}>
            {groups === 1 ? 'all at once' : `in ${groups} groups`}
          </MenuItem>
        ))}
      </TextField>
      {value.groups > 1 && (
        <TextField
          select
          size="small"
          label="Apart"
          fullWidth={false}
          sx={{ width: 100 }}
          value={value.apart}
          onChange={(event) => onChange({ ...value, apart: Number(event.target.value) })}
        >
          {APART.map((minutes) => (
            <MenuItem key={minutes} value={minutes}>
              {minutes} min
            </MenuItem>
          ))}
        </TextField>
      )}
    </>
  );
}

const same = (first: Pin, other: Pin) =>
  first.bench === other.bench && first.equipment === other.equipment && first.value === other.value;

/** The turns that somebody put where they are. */
function pinned(timetable: Shapes['Timetable']): Pin[] {
  return timetable.lanes.flatMap(({ equipment, piece, turns }) =>
    turns.flatMap(({ pinned: benches, value, start }) =>
      benches.map((bench) => ({ bench, equipment, value, piece, start })),
    ),
  );
}
