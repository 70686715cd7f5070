import Box from '@mui/material/Box';
import type { Shapes } from '../api/client';
import { StateTag } from '../identity/Verdict';

/** Answers of the work that need no more looking at. */
export function Settled({ evaluation }: { evaluation: Shapes['Evaluation'] }) {
  return evaluation.settled.map((finding) => (
    <Box
      key={finding.code}
      sx={{ display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap', fontSize: 14 }}
    >
      <StateTag level="keep" word="Found" />
      <span>
        {finding.what} {finding.why} {finding.do}
      </span>
    </Box>
  ));
}
