import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { sentence, type Shapes } from '../../api/client';
import { useChangePlan, useUnlock } from '../../api/hooks';
import { Sheet } from '../../identity/Sheet';
import { ink } from '../../identity/tokens';
import { VerdictLine } from '../../identity/Verdict';

const ABSENT = 'absent';
const DEALS = [
  ['names', 'In order of names'],
  ['lot', 'Draw lots'],
  ['last', 'As last time'],
] as const;

/** Who stands at which bench; a change is kept at once. */
export function Teams({ plan }: { plan: Shapes['SessionPlan'] }) {
  const change = useChangePlan(plan.card.id);
  const put = (person: number, chosen: string) => {
    const bench = Number(chosen) || null;
    change.mutate({ places: [{ person, bench, absent: chosen === ABSENT }] });
  };
  const unlock = useUnlock(plan.card.id);
  const fixed = plan.card.state === 'closed';
  return (
    <Sheet
      title="Who stands where"
      note={`${plan.students.filter((one) => one.bench !== null).length} of ${plan.students.length} placed`}
    >
      {change.error && (
        <VerdictLine level="look" lead="Not changed.">
          {sentence(change.error)}
        </VerdictLine>
      )}
      {plan.card.state === 'planned' && plan.students.length > 0 && (
        <Box sx={{ display: 'flex', flexWrap: 'wrap', ml: -1 }}>
          {DEALS.map(([how, name]) => (
            <Button key={how} size="small" disabled={change.isPending} onClick={() => change.mutate({ how })}>
              {name}
            </Button>
          ))}
        </Box>
      )}
      {plan.students.map((one) => (
        <Box
          key={one.id}
          sx={{
            display: 'grid',
            gridTemplateColumns: '1fr 150px',
            alignItems: 'center',
            borderBottom: `1px solid ${ink.ruleSoft}`,
            py: 0.25,
          }}
        >
          <span>
            {one.name}
            {one.waits && (
              <VerdictLine level="look" lead="Ten wrong PINs.">
                <Button size="small" disabled={unlock.isPending} onClick={() => unlock.mutate(one.id)}>
                  Let {one.name} in again
                </Button>
              </VerdictLine>
            )}
          </span>
          <TextField
            select
            value={one.bench ?? (one.absent ? ABSENT : '')}
            disabled={fixed}
            onChange={(event) => put(one.id, event.target.value)}
            slotProps={{
              htmlInput: { 'aria-label': `Bench of ${one.name}` },
              select: { displayEmpty: true },
            }}
          >
            <MenuItem value="">no bench</MenuItem>
            <MenuItem value={ABSENT}>absent</MenuItem>
            {plan.benches.map((bench) => (
              <MenuItem key={bench.id} value={bench.number}>
                Bench {bench.number}
              </MenuItem>
            ))}
          </TextField>
        </Box>
      ))}
      {plan.students.length === 0 && 'Nobody is on the roster of this section yet.'}
    </Sheet>
  );
}
