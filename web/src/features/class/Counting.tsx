import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { Link } from 'react-router';
import { type Shapes } from '../../api/client';
import { useLeaveOut } from '../../api/hooks';
import { Sheet } from '../../identity/Sheet';
import { dotted } from '../../identity/dotted';
import { ink } from '../../identity/tokens';
import { NotDone } from '../../identity/NotDone';

type Bench = Shapes['ClassBench'];

interface Props {
  page: Shapes['ClassPage'];
  /** The number of the bench that was chosen in the picture. */
  chosen: number | null;
  onChoose: (bench: number | null) => void;
  mine: boolean;
}

/** One bench looked at more closely, and whether it counts. */
export function Counting({ page, chosen, onChoose, mine }: Props) {
  const out = page.benches.filter((bench) => bench.left_out);
  const here = page.benches.filter((bench) => bench.number === chosen);
  return (
    <Sheet title="Bench by bench">
      <TextField
        select
        fullWidth
        label="Bench"
        value={chosen ?? ''}
        onChange={(event) => onChoose(Number(event.target.value))}
        sx={{ my: 1 }}
      >
        {[...new Map(page.benches.map((bench) => [bench.number, bench])).values()].map((bench) => (
          <MenuItem key={bench.number} value={bench.number}>
            {dotted(`Bench ${bench.number}`, bench.team.join(', '))}
          </MenuItem>
        ))}
      </TextField>
      {here.map((bench) => (
        <OneRecord key={bench.id} bench={bench} session={page.session.id} mine={mine} />
      ))}
      {out.length > 0 && (
        <Box sx={{ mt: 1 }}>
          <b>Do not count</b>
          {out.map((bench) => (
            <Box key={bench.id} sx={{ fontSize: 14 }}>
              {dotted(`Bench ${bench.number}`, bench.sample)}: {bench.left_out}
            </Box>
          ))}
        </Box>
      )}
    </Sheet>
  );
}

function OneRecord({ bench, session, mine }: { bench: Bench; session: number; mine: boolean }) {
  const leave = useLeaveOut(session);
  const put = (reason: string) => leave.mutate({ bench: bench.id, reason });
  return (
    <Box sx={{ display: 'grid', gap: 1, borderTop: `1px solid ${ink.ruleSoft}`, py: 1 }}>
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap' }}>
        {bench.sample && <b>{bench.sample}</b>}
        <Link to={`/benches/${bench.id}/report`}>Its report</Link>
        <Link to={`/benches/${bench.id}`}>Its record</Link>
        {mine && bench.left_out && (
          <Button size="small" disabled={leave.isPending} onClick={() => put('')}>
            Let it count again
          </Button>
        )}
      </Box>
      {mine && !bench.left_out && <LeaveOut busy={leave.isPending} onLeaveOut={put} />}
      <NotDone lead="Not done." error={leave.error} />
    </Box>
  );
}

/** Gone once the bench is left out, and its reason with it; what was refused stays to be mended. */
function LeaveOut({ busy, onLeaveOut }: { busy: boolean; onLeaveOut: (reason: string) => void }) {
  const [reason, setReason] = useState('');
  return (
    <Box sx={{ display: 'flex', gap: 1 }}>
      <TextField
        size="small"
        fullWidth
        label="Why it should not count"
        value={reason}
        onChange={(event) => setReason(event.target.value)}
        slotProps={{ htmlInput: { maxLength: 200 } }}
      />
      <Button
        variant="outlined"
        disabled={!reason.trim() || busy}
        onClick={() => onLeaveOut(reason)}
        sx={{ whiteSpace: 'nowrap' }}
      >
        Leave it out
      </Button>
    </Box>
  );
}
