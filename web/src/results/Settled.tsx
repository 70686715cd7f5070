import Box from '@mui/material/Box';
import type { Shapes } from '../api/client';
import { StateTag } from '../identity/Verdict';

/** Answers of the work that need no more looking at. */
export function Settled({ evaluation }: { evaluation: Shapes['Evaluation'] }) {
  return evaluation.settled.map((found) => (
    <Box
      key={found.code}
      sx={{ display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap', fontSize: 14 }}
    >
      <StateTag level="keep" word="Found" />
      <span>
        {found.what} {found.why} {found.do}
      </span>
    </Box>
  ));
}
