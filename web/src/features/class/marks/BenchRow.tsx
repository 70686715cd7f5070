import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import { useEffect, useRef } from 'react';
import type { Shapes } from '../../../api/client';
import { dotted } from '../../../identity/dotted';
import { FIGURES, ink } from '../../../identity/tokens';
import { LineField } from './LineField';

type BenchMarks = Shapes['BenchMarks'];

interface Props {
  marks: BenchMarks;
  session: number;
  open: boolean;
  onOpen: () => void;
  onStep: (by: number) => void;
}

const HEAD = {
  font: 'inherit',
  width: '100%',
  minHeight: 44,
  gap: 1.5,
  justifyContent: 'space-between',
  textAlign: 'left',
};

/** One bench: its points at a glance, and opened its lines with their reasons. */
export function BenchRow({ marks, session, open, onOpen, onStep }: Props) {
  const row = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (open) row.current?.querySelector('input')?.focus();
  }, [open]);
  return (
    <Box
      ref={row}
      sx={{ borderTop: `1px solid ${ink.ruleSoft}`, bgcolor: open ? ink.ground : 'transparent' }}
      onKeyDown={(event) => {
        const by = { PageDown: 1, PageUp: -1 }[event.key];
        if (!by) return;
        event.preventDefault();
        onStep(by);
      }}
    >
      <ButtonBase onClick={onOpen} aria-expanded={open} sx={HEAD}>
        <b style={{ fontFamily: FIGURES, minWidth: 28 }}>{marks.number}</b>
        <Box component="span" sx={{ flex: 1, fontSize: 14 }}>
          {dotted(marks.sample, ...marks.lines.filter(lacks).map(inShort)) || 'all points'}
        </Box>
        <b style={{ fontFamily: FIGURES }}>{points(marks.points)}</b>
        <Box component="span" sx={{ minWidth: 64, fontSize: 13, color: marks.to_read ? ink.look : ink.keep }}>
          {marks.to_read ? 'to read' : 'ready'}
        </Box>
      </ButtonBase>
      {open && <Lines marks={marks} session={session} />}
    </Box>
  );
}

function Lines({ marks, session }: { marks: BenchMarks; session: number }) {
  return (
    <Box sx={{ px: 1, pb: 1.5, display: 'grid', gap: 1.5 }}>
      {marks.team.length > 0 && <Box sx={{ color: ink.inkSoft }}>{marks.team.join(', ')}</Box>}
      {marks.lines.map((line) => (
        <LineField key={line.kind} {...{ line, session }} bench={marks.bench}>
          {line.kind === 'conclusion' &&
            marks.answers.map((answer) => (
              <Box key={answer} sx={{ fontSize: 14, mt: 0.5 }}>
                {answer}
              </Box>
            ))}
        </LineField>
      ))}
    </Box>
  );
}

const points = (value: number) => String(value);

const stands = (line: Shapes['MarkLine']) => line.decided ?? line.proposed;

/** What is worth a look at a glance: where points are missing, or not known yet. */
const lacks = (line: Shapes['MarkLine']) => stands(line) !== line.most;

/** “accuracy 4/5”, “conclusion ?/2”. */
const inShort = (line: Shapes['MarkLine']) =>
  `${line.label.toLowerCase()} ${stands(line) ?? '?'}/${line.most}`;
