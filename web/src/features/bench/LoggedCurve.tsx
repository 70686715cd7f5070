import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { type Shapes } from '../../api/client';
import { useLoggedCurve } from '../../api/hooks';
import { ink } from '../../identity/tokens';
import { NotDone } from '../../identity/NotDone';

interface Props {
  bench: number;
  series: Shapes['PartOut'];
  trial: number | null;
}

/** A meter that logs: its file is taken over, every point as an entry of its own. */
export function LoggedCurve({ bench, series, trial }: Props) {
  const curve = useLoggedCurve(bench);
  const read = async (file: File | undefined) => {
    if (file) curve.mutate({ key: series.key, trial, file: await file.text() });
  };
  return (
    <Box sx={{ display: 'grid', gap: 1, justifyItems: 'start' }}>
      <Button component="label" sx={{ px: 1 }} disabled={curve.isPending}>
        Logged by a meter? Take over its file
        <input
          type="file"
          hidden
          accept=".csv,.txt,.tsv,.jdx,.dx,.jcm"
          onChange={(event) => void read(event.target.files?.[0])}
        />
      </Button>
      <Box sx={{ color: ink.inkSoft, fontSize: 13.5 }}>
        {series.logged === 'spectrum'
          ? 'A JCAMP-DX file, or two columns: nanometres and absorbance.'
          : `Two columns, ${series.label.toLowerCase()} first, one pair a line.`}
      </Box>
      <NotDone lead="Not taken over." error={curve.error} />
    </Box>
  );
}
