import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { Link } from 'react-router';
import { type Shapes } from '../../api/client';
import { useMe, useStore } from '../../api/hooks';
import { Sheet } from '../../identity/Sheet';
import { VerdictLine } from '../../identity/Verdict';
import { NotDone } from '../../identity/NotDone';

/** What this bench found can be used by later sessions, with its uncertainty; the instructor decides. */
export function KeepIt({ report }: { report: Shapes['Report'] }) {
  const [name, setName] = useState('');
  const me = useMe();
  const store = useStore(report.bench_id);
  if (me.data?.role !== 'instructor') return null;
  const calibration = report.stores === 'calibration';
  return (
    <Sheet title={calibration ? 'Store it on the instrument' : 'Store it with the solution'}>
      <Box sx={{ display: 'grid', gap: 1.5, pt: 1, justifyItems: 'start' }}>
        <TextField
          fullWidth
          label={calibration ? 'What is written on the instrument' : 'What is written on the bottle'}
          value={name}
          onChange={(event) => setName(event.target.value)}
          slotProps={{ htmlInput: { maxLength: 60 } }}
        />
        <NotDone lead="Not kept." error={store.error} />
        {store.isSuccess ? (
          <VerdictLine level="keep" lead="Kept.">
            Plans can choose it now. <Link to="/stock">Open the stockroom</Link>
          </VerdictLine>
        ) : (
          <Button
            variant="outlined"
            disabled={!name.trim() || store.isPending}
            onClick={() => store.mutate(name.trim())}
          >
            Store for later sessions
          </Button>
        )}
      </Box>
    </Sheet>
  );
}
