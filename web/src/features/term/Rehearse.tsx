import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { type Shapes } from '../../api/client';
import { Sheet } from '../../identity/Sheet';
import { ink } from '../../identity/tokens';
import { useRehearsal } from './useRehearsal';
import { NotDone } from '../../identity/NotDone';

type Plan = Shapes['SessionPlan'];
type Pace = NonNullable<Shapes['WorkedRequest']['pace']>;

/** What can be done with this session without anybody in the room: tried alone, by who missed it, by a made-up class. */
export function Rehearse({ plan }: { plan: Plan }) {
  const { play, work, played } = useRehearsal(plan.card.id);
  const [pace, setPace] = useState<Pace>(1);
  const busy = play.isPending || work.isPending;
  const error = play.error ?? work.error;
  return (
    <Sheet title="Without the room" note="simulated, and marked so">
      <Box sx={{ display: 'grid', gap: 2 }}>
        <Box>
          <Box sx={{ color: ink.inkSoft, mb: 1 }}>Try it yourself, at drawn instruments.</Box>
          <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
            <TextField
              select
              size="small"
              label="Waits pass"
              value={pace}
              onChange={(event) => setPace(Number(event.target.value) as Pace)}
              sx={{ width: 180 }}
            >
              <MenuItem value={1}>as in the room</MenuItem>
              <MenuItem value={10}>10 times as fast</MenuItem>
              <MenuItem value={60}>60 times as fast</MenuItem>
            </TextField>
            <Button variant="outlined" disabled={busy} onClick={() => work.mutate({ students: [], pace })}>
              Dry run
            </Button>
          </Box>
        </Box>
        <Missed plan={plan} busy={busy} onWork={(students) => work.mutate({ students, pace })} />
        <MadeUp plan={plan} busy={busy} onPlay={play.mutate} />
        {play.isPending && (
          <Box role="status">
            {played.of ? `Bench ${played.done + 1} of ${played.of} …` : 'The class comes in …'}
          </Box>
        )}
        <NotDone lead="Not done." error={error} />
      </Box>
    </Sheet>
  );
}

/** Who was not there works alone, each with numbers of their own. */
function Missed({ plan, busy, onWork }: { plan: Plan; busy: boolean; onWork: (students: number[]) => void }) {
  const [chosen, setChosen] = useState(() =>
    plan.students.filter((student) => student.absent).map((student) => student.id),
  );
  const toggle = (id: number) =>
    setChosen(chosen.includes(id) ? chosen.filter((other) => other !== id) : [...chosen, id]);
  if (plan.students.length === 0) return null;
  return (
    <Box component="fieldset" sx={{ border: 0, p: 0, m: 0 }}>
      <Box component="legend" sx={{ color: ink.inkSoft, p: 0 }}>
        Who missed it works at drawn instruments, with numbers of their own.
      </Box>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 1 }}>
        {plan.students.map((student) => (
          <FormControlLabel
            key={student.id}
            label={student.name}
            control={
              <Checkbox
                checked={chosen.includes(student.id)}
                onChange={() => toggle(student.id)}
                size="small"
              />
            }
          />
        ))}
      </Box>
      <Button variant="outlined" disabled={busy || chosen.length === 0} onClick={() => onWork(chosen)}>
        Give {chosen.length === 1 ? 'this student' : `${chosen.length || 'these'} students`} a bench each
      </Button>
    </Box>
  );
}

interface MadeUpProps {
  plan: Plan;
  busy: boolean;
  onPlay: (asked: { benches: number; minutes: number }) => void;
}

/** A class that works as classes do: floor, results and marks can be tried with it. */
function MadeUp({ plan, busy, onPlay }: MadeUpProps) {
  const length = plan.card.minutes;
  const [benches, setBenches] = useState(String(plan.benches.length || 8));
  const [minutes, setMinutes] = useState(length);
  const count = Number(benches);
  const fits = Number.isInteger(count) && count >= 1 && count <= 48;
  const moments = [Math.round(length / 4), Math.round(length / 2), Math.round((length * 3) / 4), length];
  return (
    <Box>
      <Box sx={{ color: ink.inkSoft, mb: 1 }}>
        A made-up class with believable skill, slips and faults: try its floor, its results and marks.
      </Box>
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'flex-start' }}>
        <TextField
          size="small"
          label="Benches"
          value={benches}
          onChange={(event) => setBenches(event.target.value)}
          error={!fits}
          helperText={fits ? ' ' : '1 to 48'}
          slotProps={{ htmlInput: { inputMode: 'numeric' } }}
          sx={{ width: 100 }}
        />
        <TextField
          select
          size="small"
          label="At work for"
          value={minutes}
          onChange={(event) => setMinutes(Number(event.target.value))}
          sx={{ width: 140 }}
        >
          {moments.map((moment) => (
            <MenuItem key={moment} value={moment}>
              {moment} min{moment === length ? ', all' : ''}
            </MenuItem>
          ))}
        </TextField>
        <Button
          variant="outlined"
          disabled={busy || !fits}
          onClick={() => onPlay({ benches: count, minutes })}
          sx={{ minHeight: 40 }}
        >
          Rehearse
        </Button>
      </Box>
    </Box>
  );
}
