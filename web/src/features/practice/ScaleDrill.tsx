import Box from '@mui/material/Box';
import { useState } from 'react';
import type { Shapes } from '../../api/client';
import { Drawn } from '../../instruments/Drawn';
import { EyeHeight, useEye } from '../../instruments/EyeHeight';
import { useNow } from '../../identity/useNow';
import { Loaded } from '../../identity/Page';
import { Answer } from './Answer';
import { useDrill } from './usePractice';

/** An instrument that stands somewhere: what does it show? */
export function ScaleDrill({ slug, colour }: { slug: string; colour: string }) {
  const drill = useDrill('scales', slug);
  return (
    <Loaded of={drill.task}>
      {({ instrument, at, course, eye }) => (
        <Box sx={SIDE_BY_SIDE}>
          <Box sx={{ maxWidth: 300 }}>
            {course.length > 0 ? (
              <Running key={at} tool={instrument} course={course} colour={colour} />
            ) : (
              <Standing key={at} tool={instrument} at={at} start={eye} colour={colour} />
            )}
          </Box>
          <Box sx={{ display: 'grid', gap: 2 }}>
            <Box sx={{ fontSize: 19, fontWeight: 700 }}>What does it show?</Box>
            <Answer key={at} drill={drill} label={`Reading, ${instrument.unit}`} button="Read" digits />
            <Box sx={{ fontSize: 14 }}>{instrument.how}</Box>
          </Box>
        </Box>
      )}
    </Loaded>
  );
}

interface StandingProps {
  tool: Shapes['Instrument'];
  at: number;
  start: number;
  colour: string;
}

/** A scale that stands; beside a curve of liquid the eye has to find its height first. */
function Standing({ tool, at, start, colour }: StandingProps) {
  const { eye, move } = useEye(start);
  const curved = tool.meniscus === 'bottom';
  return (
    <>
      <Drawn tool={tool} text={String(at)} colour={colour} silent eye={curved ? eye : undefined} />
      {curved && <EyeHeight onMove={move} />}
    </>
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
