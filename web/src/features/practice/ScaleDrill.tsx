import Box from '@mui/material/Box';
import { useState, type ReactNode } from 'react';
import type { Shapes } from '../../api/client';
import { Drawn } from '../../instruments/Drawn';
import { EyeHeight, useEye } from '../../instruments/EyeHeight';
import { useNow } from '../../time/useNow';
import { Loaded } from '../../identity/Page';
import { Answer } from './Answer';
import { useDrill } from './usePractice';

/** An instrument that stands somewhere: what does it show? */
export function ScaleDrill({ slug, colour }: { slug: string; colour: string }) {
  const drill = useDrill('scales', slug);
  return (
    <Loaded of={drill.task}>
      {(task) => (
        <Standing key={task.at} task={task} colour={colour}>
          <Answer drill={drill} label={`Reading, ${task.instrument.unit}`} button="Read" digits />
        </Standing>
      )}
    </Loaded>
  );
}

interface StandingProps {
  task: Shapes['ScaleTask'];
  colour: string;
  children: ReactNode;
}

/** It as it stands, and the answer; beside a curve of liquid the eye has to find its height first. */
function Standing({ task, colour, children }: StandingProps) {
  const { instrument, at, course } = task;
  const { eye, move } = useEye(task.eye);
  const curved = instrument.meniscus === 'bottom';
  const seen = curved ? eye : undefined;
  return (
    <Box sx={SIDE_BY_SIDE}>
      <Box sx={{ maxWidth: 300 }}>
        {course.length > 0 ? (
          <Running tool={instrument} course={course} colour={colour} />
        ) : (
          <Drawn tool={instrument} text={String(at)} colour={colour} silent eye={seen} />
        )}
      </Box>
      <Box sx={{ display: 'grid', gap: 2 }}>
        <Box sx={{ fontSize: 19, fontWeight: 700 }}>What does it show?</Box>
        {curved && <EyeHeight onMove={move} />}
        {children}
        <Box sx={{ fontSize: 14 }}>
          {instrument.how}
          {curved && ' Your eye is at its height when the ring of a long mark is one line.'}
        </Box>
      </Box>
    </Box>
  );
}

interface RunningProps {
  tool: Shapes['Instrument'];
  course: string[];
  colour: string;
}

/** A display that runs for a while and then stands. */
function Running({ tool, course, colour }: RunningProps) {
  const [begun] = useState(Date.now);
  const now = useNow(HALF_A_SECOND);
  const place = Math.min(Math.max(Math.floor((now - begun) / HALF_A_SECOND), 0), course.length - 1);
  return <Drawn tool={tool} text={course[place] ?? ''} colour={colour} />;
}

const HALF_A_SECOND = 500;

const SIDE_BY_SIDE = {
  display: 'grid',
  gap: 3,
  gridTemplateColumns: { xs: '1fr', sm: '260px 1fr' },
  alignItems: 'start',
} as const;
