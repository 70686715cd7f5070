import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { type Shapes } from '../../../api/client';
import { ink } from '../../../identity/tokens';
import { RubricForm } from './RubricForm';
import { LABELS } from './rubric';
import { NotDone } from '../../../identity/NotDone';

interface Props {
  marks: Shapes['ClassMarks'];
  choose: (rubric: number) => void;
  error: Error | null;
}

/** By which rubric a session is marked: one that is kept, or one made from it. */
export function RubricChoice({ marks, choose, error }: Props) {
  const [from, setFrom] = useState<Shapes['Rubric'] | null>(null);
  if (from) return <RubricForm session={marks.session.id} from={from} onDone={() => setFrom(null)} />;
  return (
    <Box>
      {marks.rubrics.map(({ id, rubric }) => (
        <Box key={id} sx={{ borderTop: `1px solid ${ink.ruleSoft}`, py: 1 }}>
          <Box sx={{ display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap' }}>
            <b style={{ flex: 1 }}>
              {rubric.name}, of {rubric.total}
            </b>
            <Button size="small" onClick={() => setFrom(rubric)}>
              Change it
            </Button>
            <Button size="small" variant="outlined" onClick={() => choose(id)}>
              Mark by it
            </Button>
          </Box>
          <Box sx={{ color: ink.inkSoft, fontSize: 13.5 }}>
            {rubric.criteria
              .map((criterion) => `${LABELS[criterion.kind].toLowerCase()} ${criterion.points}`)
              .join(' · ')}
          </Box>
        </Box>
      ))}
      <NotDone lead="Not chosen." error={error} />
    </Box>
  );
}
