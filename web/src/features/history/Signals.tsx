import Box from '@mui/material/Box';
import { VerdictLine } from '../../identity/Verdict';

/** Which rules of a control chart are met, and where. */
export function Signals({ of }: { of: string[] }) {
  if (of.length === 0) return null;
  return (
    <Box sx={{ mt: 1 }}>
      <VerdictLine level="look" lead={of.length === 1 ? 'It signals.' : 'It signals more than once.'}>
        {of.map((signal) => (
          <Box key={signal}>{signal}</Box>
        ))}
      </VerdictLine>
    </Box>
  );
}
