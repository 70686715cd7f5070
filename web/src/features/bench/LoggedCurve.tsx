import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { sentence } from '../../api/client';
import { useLoggedCurve } from '../../api/hooks';
import { ink } from '../../identity/tokens';
import { VerdictLine } from '../../identity/Verdict';

/** A meter that logs: its file is taken over, every point as an entry of its own. */
export function LoggedCurve({ bench, trial }: { bench: number; trial: number }) {
  const curve = useLoggedCurve(bench);
  const read = async (file: File | undefined) => {
    if (file) curve.mutate({ trial, file: await file.text() });
  };
  return (
    <Box sx={{ display: 'grid', gap: 1, justifyItems: 'start' }}>
      <Button component="label" sx={{ px: 1 }} disabled={curve.isPending}>
        Logged by a meter? Take over its file
        <input
          type="file"
          hidden
          accept=".csv,.txt,.tsv"
          onChange={(event) => void read(event.target.files?.[0])}
        />
      </Button>
      <Box sx={{ color: ink.inkSoft, fontSize: 13.5 }}>Two columns, volume and reading, one pair a line.</Box>
      {curve.error && (
        <VerdictLine level="look" lead="Not taken over.">
          {sentence(curve.error)}
        </VerdictLine>
      )}
    </Box>
  );
}
