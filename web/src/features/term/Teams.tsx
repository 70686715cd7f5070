import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { type Shapes } from '../../api/client';
import { useChangePlan, useUnlock } from '../../api/hooks';
import { Sheet } from '../../identity/Sheet';
import { VerdictLine } from '../../identity/Verdict';
import { Places } from './Places';
import { NotDone } from '../../identity/NotDone';

const DEALS = [
  ['names', 'In order of names'],
  ['lot', 'Draw lots'],
  ['last', 'As last time'],
] as const;

/** Who stands at which bench; a change is kept at once. */
export function Teams({ plan }: { plan: Shapes['SessionPlan'] }) {
  const change = useChangePlan(plan.card.id);
  const here = plan.students.filter((student) => !student.absent);
  return (
    <Sheet
      title="Who stands where"
      note={`${here.filter((student) => student.bench !== null).length} of ${here.length} placed`}
    >
      <NotDone lead="Not changed." error={change.error} />
      {plan.card.state === 'planned' && plan.students.length > 0 && (
        <Deal busy={change.isPending} onDeal={(how, size) => change.mutate({ how, size })} />
      )}
      {plan.students.length === 0 && 'Nobody is on the roster of this section yet.'}
      {plan.students
        .filter((student) => student.waits)
        .map((student) => (
          <LetIn key={student.id} session={plan.card.id} student={student} />
        ))}
      <Places
        benches={plan.benches}
        students={plan.students}
        fixed={plan.card.state === 'closed'}
        onPut={(person, place) => change.mutate({ places: [{ person, ...place }] })}
      />
    </Sheet>
  );
}

type Deals = (how: (typeof DEALS)[number][0], size: number | null) => void;

/** Everybody at once, and how many there shall be at a bench. */
function Deal({ busy, onDeal }: { busy: boolean; onDeal: Deals }) {
  const [size, setSize] = useState(0);
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center', mt: 1, mb: 1.5 }}>
      <TextField
        select
        size="small"
        label="At each bench"
        value={size}
        onChange={(event) => setSize(Number(event.target.value))}
        sx={{ width: 128 }}
      >
        <MenuItem value={0}>all benches</MenuItem>
        {[1, 2, 3, 4].map((count) => (
          <MenuItem key={count} value={count}>
            {count === 1 ? 'one' : `${count} people`}
          </MenuItem>
        ))}
      </TextField>
      {DEALS.map(([how, name]) => (
        <Button key={how} size="small" disabled={busy} onClick={() => onDeal(how, size || null)}>
          {name}
        </Button>
      ))}
    </Box>
  );
}

function LetIn({ session, student }: { session: number; student: Shapes['StudentPlace'] }) {
  const unlock = useUnlock(session);
  return (
    <VerdictLine level="look" lead={`${student.name}: ten wrong PINs.`}>
      <Button size="small" disabled={unlock.isPending} onClick={() => unlock.mutate(student.id)}>
        Let {student.name} in again
      </Button>
    </VerdictLine>
  );
}
