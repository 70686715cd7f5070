import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import { useEffect, type KeyboardEvent } from 'react';
import type { Shapes } from '../../api/client';
import { CheckIcon } from '../../identity/Icons';
import { VerdictLine } from '../../identity/Verdict';
import { FIGURES, ink } from '../../identity/tokens';
import type { Draft } from '../../queue/store';
import {
  asSlot,
  isOf,
  ownAnswer,
  sameSlot,
  standing,
  stepOf,
  type Bench,
  type Slot,
  type Task,
} from './hand';
import { useReading, type ReadingProps } from './useReading';

interface Props extends ReadingProps {
  onChoose: (slot: Slot) => void;
}

/** What is worked out by hand, line by line: the one in hand is written, those before it stand with what is said of them. */
export function Worksheet(props: Props) {
  const { bench, task } = props;
  const step = stepOf(bench, task);
  const lines = bench.evaluation.tasks.filter((task) => task.kind === 'own' && step && isOf(step, task));
  return (
    <Box component="ol" sx={{ listStyle: 'none', m: 0, p: 0, borderTop: `1px solid ${ink.ruleSoft}` }}>
      {lines.map((line, at) => (
        <Box component="li" key={`${line.key}/${line.trial}`} sx={ROW}>
          <Box sx={{ color: ink.inkSoft, fontFamily: FIGURES, pt: 1.5 }}>{at + 1}</Box>
          {sameSlot(line, task) ? (
            <InHand {...props} before={lines[at - 1]} after={lines[at + 1]} />
          ) : (
            <Written {...props} line={line} />
          )}
          <Told bench={bench} line={line} />
        </Box>
      ))}
    </Box>
  );
}

const ROW = {
  display: 'grid',
  gridTemplateColumns: '28px minmax(0, 1fr)',
  columnGap: 1,
  py: 1,
  borderBottom: `1px solid ${ink.ruleSoft}`,
  scrollMargin: '96px', // the bar below the page
};
const LINE = {
  display: 'grid',
  gridTemplateColumns: { xs: '1fr', sm: 'minmax(0, 1fr) minmax(220px, 300px)' },
  gap: { xs: 0.5, sm: 2 },
  alignItems: 'center',
  textAlign: 'left',
  width: '100%',
  minHeight: 48,
} as const;
const FIELD = {
  display: 'flex',
  alignItems: 'center',
  gap: 1,
  px: 1.5,
  minHeight: 46,
  borderRadius: 2,
  border: `1.5px solid ${ink.rule}`,
  bgcolor: ink.sheet,
  fontFamily: FIGURES,
  fontSize: 19,
  fontWeight: 700,
} as const;

interface InHandProps extends Props {
  before: Task | undefined;
  after: Task | undefined;
}

function InHand(props: InHandProps) {
  const { task, colour, before, after, onChoose } = props;
  const { field, text, setText, ready, keep, verdict, onKeyDown: onKey } = useReading(props);
  useEffect(() => {
    field.current?.closest('li')?.scrollIntoView?.({ block: 'nearest' }); // it may answer: an effect must not
  }, [field]);
  const onKeyDown = (event: KeyboardEvent) => {
    const beside = event.key === 'ArrowUp' ? before : event.key === 'ArrowDown' ? after : undefined;
    if (beside) {
      event.preventDefault();
      onChoose(beside);
    } else onKey(event);
  };
  return (
    <Box>
      <Box component="label" sx={LINE}>
        <Label line={task} />
        <Box
          sx={{ ...FIELD, borderColor: colour, '&:focus-within': { boxShadow: `0 0 0 3px ${ink.liquid}` } }}
        >
          <input
            ref={field}
            value={text}
            onChange={(event) => setText(event.target.value)}
            onKeyDown={onKeyDown}
            maxLength={40}
            autoComplete="off"
            spellCheck={false}
            aria-label={`${task.title}${task.unit ? `, in ${task.unit}` : ''}`}
            style={{ ...BARE, caretColor: colour }}
          />
          <Unit of={task.unit} />
        </Box>
      </Box>
      {verdict?.refused && (
        <VerdictLine level="look" lead={verdict.lead}>
          {verdict.text}
        </VerdictLine>
      )}
      <Button
        variant="contained"
        disabled={!ready}
        onClick={keep}
        sx={{ display: 'block', ml: 'auto', mt: 1, minHeight: 44 }}
      >
        Keep this line
      </Button>
    </Box>
  );
}

const BARE = {
  font: 'inherit',
  color: 'inherit',
  width: '100%',
  minWidth: 0,
  border: 0,
  outline: 0,
  padding: 0,
  background: 'transparent',
} as const;

/** A line that stands, or is still ahead; a touch takes it in hand. */
function Written({ bench, line, pending, onChoose }: Props & { line: Task }) {
  const text = waiting(pending, line)?.text ?? standing(bench, line)?.text;
  return (
    <ButtonBase onClick={() => onChoose(line)} sx={{ ...LINE, opacity: text === undefined ? 0.65 : 1 }}>
      <Label line={line} />
      <Box sx={FIELD}>
        <Box component="span" sx={{ flex: 1 }}>
          {text ?? ''}
        </Box>
        {(!text || !/[a-zA-Z%°]/.test(text.replace(/[eE]/, ''))) && <Unit of={line.unit} />}
      </Box>
    </ButtonBase>
  );
}

const waiting = (pending: Draft[], line: Task) => pending.find((draft) => sameSlot(asSlot(draft), line));

function Label({ line }: { line: Task }) {
  return <Box sx={{ fontSize: 16.5, lineHeight: 1.3 }}>{line.title}</Box>;
}

function Unit({ of }: { of: string }) {
  return (
    <Box component="span" sx={{ fontWeight: 400, fontSize: 15, color: ink.inkSoft, whiteSpace: 'nowrap' }}>
      {of}
    </Box>
  );
}

/** What is said of a line: by what was read, and by the lines before it. */
function Told({ bench, line }: { bench: Bench; line: Task }) {
  const own = ownAnswer(bench, line);
  return own ? <OwnLine own={own} /> : null;
}

function OwnLine({ own }: { own: Shapes['OwnAnswer'] }) {
  if (own.agrees)
    return (
      <Box
        role="status"
        sx={{ gridColumn: 2, mt: 0.5, display: 'flex', gap: 0.75, color: ink.keep, fontSize: 14.5 }}
      >
        <CheckIcon sx={{ fontSize: 18 }} />
        {own.sentence}
      </Box>
    );
  return (
    <Box sx={{ gridColumn: 2, mt: 0.75 }}>
      <VerdictLine level="repeat" lead="">
        {own.sentence}
        {own.line && (
          <Box sx={{ fontFamily: FIGURES, fontSize: 14, mt: 0.5, overflowWrap: 'anywhere' }}>{own.line}</Box>
        )}
      </VerdictLine>
    </Box>
  );
}
