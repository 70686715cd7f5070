import Box from '@mui/material/Box';
import type { Shapes } from '../../api/client';
import { FIGURES, ink } from '../../identity/tokens';

type Cause = Shapes['Cause'];

interface Props {
  causes: Cause[];
  /** Of how many benches. */
  of: number;
  colour: string;
  numbered: boolean;
}

const WHERE: Record<Cause['kind'], string> = {
  own: 'own calculation',
  unexplained: 'own calculation',
  reading: 'at the bench',
  fault: 'from the result',
};

/** What made a class's errors, the most frequent first: at how many benches, which, and by how much they are off. */
export function Causes({ causes, of, colour, numbered }: Props) {
  return (
    <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
      {causes.map((cause) => (
        <Box
          component="li"
          key={`${cause.kind} ${cause.label}`}
          sx={{
            display: 'grid',
            gridTemplateColumns: 'minmax(0, 1fr) auto 84px',
            gap: 1.5,
            alignItems: 'center',
            py: 1,
            borderTop: `1px solid ${ink.ruleSoft}`,
          }}
        >
          <Box sx={{ overflowWrap: 'anywhere' }}>
            {cause.label}
            <Box sx={{ color: ink.inkSoft, fontSize: 13 }}>
              {WHERE[cause.kind]}
              {numbered && ` · ${cause.benches.length > 1 ? 'benches' : 'bench'} ${cause.benches.join(', ')}`}
            </Box>
          </Box>
          <Share count={cause.benches.length} of={of} colour={colour} />
          <Box sx={{ fontFamily: FIGURES, textAlign: 'right', whiteSpace: 'nowrap' }}>{cause.text}</Box>
        </Box>
      ))}
    </Box>
  );
}

const MOST_TALLIES = 12;

/** “9 of 24”, and a tally beside it. */
function Share({ count, of, colour }: { count: number; of: number; colour: string }) {
  const tallies = Math.min(Math.max(of, 1), MOST_TALLIES); // a bench each, as long as there is room
  const full = Math.max(Math.round((count / Math.max(of, 1)) * tallies), 1);
  return (
    <Box sx={{ textAlign: 'right', fontSize: 13 }}>
      <Box aria-hidden sx={{ display: 'flex', gap: '2px' }}>
        {Array.from({ length: tallies }, (_, place) => (
          <Box
            key={place}
            sx={{
              width: 8,
              height: 12,
              borderRadius: '2px',
              bgcolor: place < full ? colour : 'transparent',
              border: `1px solid ${place < full ? colour : ink.rule}`,
            }}
          />
        ))}
      </Box>
      {count} of {of}
    </Box>
  );
}
