import Box from '@mui/material/Box';
import { Link } from 'react-router';
import { VerdictLine } from '../../identity/Verdict';
import type { Bench } from './hand';

/** The bench waits for the work before class; its steps and cautions do not. */
export function NotReady({ bench }: { bench: Bench }) {
  if (!bench.waits) return null;
  const { names, mine } = bench.waits;
  return (
    <Box sx={{ p: 1 }}>
      <VerdictLine level="look" lead="No reading yet.">
        {names.join(', ')} {names.length === 1 ? 'has' : 'have'} work left from before class.{' '}
        {mine ? (
          <Link to={`/sessions/${bench.session.id}/before`}>Do it now</Link>
        ) : (
          'Your instructor can let you begin.'
        )}
      </VerdictLine>
    </Box>
  );
}
