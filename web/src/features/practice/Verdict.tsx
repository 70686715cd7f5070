import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { type Shapes } from '../../api/client';
import { ink } from '../../identity/tokens';
import { VerdictLine } from '../../identity/Verdict';
import { NotDone } from '../../identity/NotDone';

interface Props {
  verdict: Shapes['PracticeVerdict'] | undefined;
  error: unknown;
  onNext: () => void;
}

/** What came of an answer, how many stand in a row, and the next task under Enter. */
export function Verdict({ verdict, error, onNext }: Props) {
  return (
    <Box role="status" sx={{ display: 'grid', gap: 1, minHeight: 96, alignContent: 'start' }}>
      <NotDone lead="Not judged." error={error} />
      {verdict && (
        <>
          <VerdictLine
            level={verdict.right ? 'keep' : verdict.fits ? 'look' : 'repeat'}
            lead={verdict.right ? 'Right.' : verdict.fits ? 'It would fit.' : 'Not yet.'}
          >
            {withoutLead(verdict.sentence)}
          </VerdictLine>
          <Box sx={{ display: 'flex', gap: 2, alignItems: 'center' }}>
            <Button key={verdict.skill.tried} variant="contained" autoFocus={verdict.right} onClick={onNext}>
              Next one
            </Button>
            <Box sx={{ color: ink.inkSoft, fontSize: 14 }}>
              {verdict.skill.in_a_row > 1 ? `${verdict.skill.in_a_row} in a row · ` : ''}
              {verdict.skill.right} of {verdict.skill.tried} right
            </Box>
          </Box>
        </>
      )}
    </Box>
  );
}

/** What the lead says already is not said twice. */
const withoutLead = (text: string) => text.replace(/^(Right|Yes|It would fit)[.:,] /, '');
