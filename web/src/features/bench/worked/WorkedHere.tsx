import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { ReactNode } from 'react';
import { type Shapes } from '../../../api/client';
import { ink } from '../../../identity/tokens';
import { Drawn } from '../../../instruments/Drawn';
import { EyeHeight, useEye } from '../../../instruments/EyeHeight';
import { MoveDrawing } from '../../../scenes/MoveDrawing';
import type { Task } from '../hand';
import { useWorked } from './useWorked';
import { NotDone } from '../../../identity/NotDone';

interface Props {
  bench: number;
  task: Task;
  colour: string;
}

/** The instrument in hand, worked on the screen: what it shows is read off and typed like at any bench. */
export function WorkedHere({ bench, task, colour }: Props) {
  const { worked, act, error } = useWorked(bench, task);
  const view = worked?.view;
  const notDone = <NotDone lead="Not done." error={error} />;
  if (!view) return notDone;
  return (
    <Instrument key={`${task.key}/${task.trial}/${task.index}`} view={view} colour={colour} onAct={act}>
      {notDone}
    </Instrument>
  );
}

interface InstrumentProps {
  view: Shapes['WorkedView'];
  colour: string;
  onAct: (act: string) => void;
  children: ReactNode;
}

/** Its drawing, its scale, and what can be done; the level in a tube is seen from where the eye happens to be. */
function Instrument({ view, colour, onAct, children }: InstrumentProps) {
  const { tool, shows } = view;
  const scale = shows !== '' && !tool.digital && tool.low !== tool.high;
  const curved = scale && tool.meniscus === 'bottom';
  const { eye, move } = useEye(view.eye);
  return (
    <Box component="section" aria-label={view.title} sx={CARD}>
      {view.shapes.length > 0 && (
        <MoveDrawing
          move={{ text: view.title, mind: '', shapes: view.shapes, words: view.words }}
          width={view.width}
          height={view.height}
          colour={colour}
        />
      )}
      {scale && (
        <Box aria-label="Its scale" sx={{ width: { sm: 124 } }}>
          <Drawn tool={tool} text={shows} colour={colour} narrow silent eye={curved ? eye : undefined} />
        </Box>
      )}
      <Box sx={{ display: 'grid', gap: 1, alignContent: 'start', gridColumn: { xs: '1 / -1', sm: 'auto' } }}>
        <Box role="status" aria-label="What happened" sx={{ minHeight: 44, fontWeight: 700 }}>
          {view.said}
        </Box>
        <Controls controls={view.controls} onAct={onAct} />
        {curved && <EyeHeight onMove={move} />}
        {children}
        <Box sx={{ color: ink.inkSoft, fontSize: 13.5 }}>
          Simulated. Read it off the drawing{curved && ', with the ring of a long mark one line'}; write it as
          at the bench.
        </Box>
      </Box>
    </Box>
  );
}

/** What can be done now; the usual thing is filled. */
function Controls({ controls, onAct }: { controls: Shapes['Control'][]; onAct: (act: string) => void }) {
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
      {controls.map((control) => (
        <Button
          key={control.key}
          variant={control.usual ? 'contained' : 'outlined'}
          onClick={() => onAct(control.key)}
          sx={{ minHeight: 44 }}
        >
          {control.label}
        </Button>
      ))}
    </Box>
  );
}

const CARD = {
  display: 'grid',
  gap: 2,
  gridTemplateColumns: { xs: 'minmax(0, 1fr) 92px', sm: 'minmax(0, 180px) auto minmax(0, 1fr)' },
  p: 1.5,
  bgcolor: ink.sheet,
  border: `1px solid ${ink.rule}`,
  borderRadius: 2.5,
} as const;
