import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useMutation, useQuery } from '@tanstack/react-query';
import { api, said, type Shapes } from '../../api/client';
import { ink } from '../../identity/tokens';
import { VerdictLine } from '../../identity/Verdict';
import { NotDone } from '../../identity/NotDone';

interface Props {
  bench: number;
  reading: string;
  kind: string;
  onTake: (shown: Shapes['FromDevice']) => void;
}

const useDevices = () =>
  useQuery({ queryKey: ['devices'], staleTime: Infinity, queryFn: () => said(api.GET('/api/devices')) });

/** What a connected device shows, written into the field: looked at and kept like what is typed. */
export function TakeFromDevice({ bench, reading, kind, onTake }: Props) {
  const devices = useDevices();
  const take = useMutation({
    mutationFn: () =>
      said(
        api.POST('/api/benches/{bench_id}/device', {
          params: { path: { bench_id: bench } },
          body: { key: reading },
        }),
      ),
    onSuccess: onTake,
  });
  if (!devices.data?.includes(kind)) return null;
  return (
    <Box sx={{ display: 'grid', gap: 0.5, justifyItems: 'start' }}>
      <Button
        variant="outlined"
        onMouseDown={(event) => event.preventDefault()}
        onClick={() => take.mutate()}
        disabled={take.isPending}
      >
        Take it from the {kind}
      </Button>
      {take.data && !take.data.stable && (
        <VerdictLine level="look" lead="It does not stand yet.">
          Wait a moment and take it again.
        </VerdictLine>
      )}
      {take.data?.simulated && <Box sx={{ color: ink.inkSoft, fontSize: 13.5 }}>a simulated device</Box>}
      <NotDone lead="Not taken." error={take.error} />
    </Box>
  );
}
