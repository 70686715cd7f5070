import Box from '@mui/material/Box';
import type { ReactNode } from 'react';
import type { Shapes } from '../api/client';
import { CheckIcon, HandIcon, LoopIcon, OctagonIcon, TriangleIcon } from './Icons';
import { ink } from './tokens';

export type Level = Shapes['LevelEnum'];

/** State is word and shape and colour, never colour alone. */
export const STATES = {
  keep: { word: 'Keep', Icon: CheckIcon, colour: ink.keep, wash: ink.keepWash },
  look: { word: 'Look again', Icon: TriangleIcon, colour: ink.look, wash: ink.lookWash },
  repeat: { word: 'Repeat', Icon: LoopIcon, colour: ink.repeat, wash: ink.repeatWash },
  stop: { word: 'Stop', Icon: OctagonIcon, colour: ink.stop, wash: ink.stopWash },
} as const;

/** A small word with its shape. */
export function StateTag({ level, word }: { level: Level; word?: string }) {
  const state = STATES[level];
  return <Tag {...state} word={word ?? state.word} />;
}

/** A call for help: a raised hand. */
export function CallTag({ word = 'Calls' }: { word?: string }) {
  return <Tag Icon={HandIcon} colour={ink.repeat} wash={ink.repeatWash} word={word} />;
}

type Look = Omit<(typeof STATES)[Level], 'word' | 'colour' | 'wash'> & {
  word: string;
  colour: string;
  wash: string;
};

function Tag({ Icon, colour, wash, word }: Look) {
  return (
    <Box
      component="span"
      sx={{
        display: 'inline-flex',
        alignItems: 'center',
        gap: 0.5,
        px: 1,
        py: 0.25,
        borderRadius: 99,
        bgcolor: wash,
        color: colour,
        fontWeight: 700,
        fontSize: 12.5,
        whiteSpace: 'nowrap',
      }}
    >
      <Icon sx={{ fontSize: 15 }} />
      {word}
    </Box>
  );
}

interface LineProps {
  level: Level;
  lead: string;
  children: ReactNode;
  /** Keeps the room of two lines, so that nothing jumps while somebody types. */
  steady?: boolean;
}

/** A verdict in a line or two. */
export function VerdictLine({ level, lead, children, steady = false }: LineProps) {
  const state = STATES[level];
  return (
    <Box
      role="status"
      sx={{
        display: 'flex',
        gap: 1.25,
        p: 1.25,
        borderRadius: 2,
        bgcolor: state.wash,
        color: state.colour,
        minHeight: steady ? 62 : 0,
      }}
    >
      <state.Icon sx={{ fontSize: 22, mt: 0.1, flexShrink: 0 }} />
      <Box sx={{ fontSize: 15, lineHeight: 1.4 }}>
        <strong>{lead}</strong> {children}
      </Box>
    </Box>
  );
}
