import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import { usePrinting } from './usePrinting';

/** All reports printed, with progress; what was printed waits until it is fetched. */
export function AllReports({ session, benches }: { session: number; benches: number[] }) {
  const { printed, of, state, begin, cancel } = usePrinting(benches);
  if (state === 'ready')
    return (
      <>
        <Button variant="outlined" href={`/api/sessions/${session}/reports.pdf`} download>
          All {of} reports, one PDF
        </Button>
        <Button variant="outlined" href={`/api/sessions/${session}/reports.zip`} download>
          With all data, an archive
        </Button>
        <Button href={`/api/sessions/${session}/reports.zip?each=student`} download>
          Also one for each student
        </Button>
      </>
    );
  if (state === 'printing')
    return (
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'center' }}>
        <Box role="status" sx={{ fontSize: 14, minWidth: 130 }}>
          {printed} of {of} printed
          <LinearProgress variant="determinate" value={(printed / of) * 100} aria-label="Reports printed" />
        </Box>
        <Button onClick={cancel}>Stop</Button>
      </Box>
    );
  return (
    <Button disabled={of === 0} onClick={begin}>
      {state === 'failed' ? `Stopped at ${printed} of ${of}; go on` : 'Print all reports'}
    </Button>
  );
}
