import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import type { ReactNode } from 'react';
import { OctagonIcon } from '../../identity/Icons';
import { KeyCap } from '../../identity/KeyCap';
import { clock } from '../../time/time';
import { ink } from '../../identity/tokens';
import { VerdictLine } from '../../identity/Verdict';
import { useNow } from '../../time/useNow';
import type { Draft } from '../../queue/store';
import type { Asking } from './BenchDialogs';
import { halfHour, named } from './halfHour';
import { sameSlot, urgent, type Bench, type Slot, type Task } from './hand';

interface NextProps {
  bench: Bench;
  task: Task;
  onChoose: (slot: Slot) => void;
}

/** The one sentence that says what to do next; a word that cannot wait takes its place. */
export function NextSentence({ bench, task, onChoose }: NextProps) {
  const state = bench.session.state;
  const stop = urgent(bench);
  const about = stop && { key: stop.key, trial: stop.trial, index: stop.index };
  if (state !== 'open')
    return (
      <Sentence>
        <strong>
          {state === 'closed' ? 'This session is closed.' : 'This session has not been opened yet.'}
        </strong>
      </Sentence>
    );
  if (stop && about && !sameSlot(about, task))
    return (
      <Sentence>
        <Box sx={{ flex: 1, minWidth: 'min(100%, 420px)' }}>
          <OctagonIcon sx={{ verticalAlign: 'text-bottom', mr: 1.5 }} />
          <strong>{stop.what}</strong> <span>{stop.do}</span>
        </Box>
        <Button
          onClick={() => onChoose(about)}
          sx={{ color: ink.onDeep, borderColor: ink.onDeep, alignSelf: 'center' }}
          variant="outlined"
        >
          Look at it now
        </Button>
      </Sentence>
    );
  return (
    <Sentence>
      <strong>{task.lead}</strong>
      {task.then && <span>{task.then}</span>}
      {task.aside && (
        <Box component="span" sx={{ fontSize: 15, color: ink.deepSoft }}>
          {task.aside}
        </Box>
      )}
    </Sentence>
  );
}

function Sentence({ children }: { children: ReactNode }) {
  return (
    <Box
      role="status"
      sx={{
        bgcolor: ink.deep,
        color: ink.onDeep,
        px: { xs: 2, md: 2.5 },
        py: 1.5,
        fontSize: { xs: 18, md: 21 },
        lineHeight: 1.3,
        display: 'flex',
        flexWrap: 'wrap',
        columnGap: 1.5,
        alignItems: 'baseline',
      }}
    >
      {children}
    </Box>
  );
}

/** What the instructor last said, and what the server would not keep. */
export function Said({
  bench,
  refused,
  onDismiss,
}: {
  bench: Bench;
  refused: string[];
  onDismiss: () => void;
}) {
  const last = bench.talk.filter((talk) => talk.kind === 'message').at(-1);
  const calls = bench.talk.filter((talk) => talk.kind === 'call').at(-1);
  const waiting = calls && (!last || last.at < calls.at);
  return (
    <Box>
      {refused.map((problem) => (
        <Box key={problem} sx={{ p: 1, display: 'flex', gap: 1, alignItems: 'center' }}>
          <Box sx={{ flex: 1 }}>
            <VerdictLine level="stop" lead="Not kept.">
              {problem}
            </VerdictLine>
          </Box>
          <Button onClick={onDismiss}>Read</Button>
        </Box>
      ))}
      {last && !waiting && (
        <Box sx={{ px: 2.5, py: 1, bgcolor: ink.repeatWash, color: ink.repeat, fontWeight: 700 }}>
          {last.author}, {clock(last.at)}: “{last.text}”
        </Box>
      )}
    </Box>
  );
}

interface FooterProps {
  bench: Bench;
  task: Task;
  pending: Draft[];
  onAsk: (what: Asking) => void;
}

/** The keys, what comes after this, and the caution that always holds. */
export function BenchFooter({ bench, task, pending, onAsk }: FooterProps) {
  const caution = bench.evaluation.steps.find((step) => step.state === 'now')?.cautions[0];
  return (
    <Box
      component="footer"
      sx={{
        display: 'flex',
        alignItems: 'center',
        gap: 2,
        px: 2.5,
        minHeight: 44,
        bgcolor: ink.sheet,
        borderTop: `1px solid ${ink.ruleSoft}`,
        fontSize: 13.5,
        flexWrap: 'wrap',
      }}
    >
      <span>
        <KeyCap>Enter</KeyCap> keep and go on
      </span>
      {task.trial !== null && <Hint letter="R" what="reject trial" onClick={() => onAsk('reject')} />}
      <Hint letter="O" what="note" onClick={() => onAsk('note')} />
      <Hint letter="?" what="keys" onClick={() => onAsk('keys')} />
      <AfterThis bench={bench} pending={pending} />
      <Box
        sx={{
          ml: 'auto',
          color: ink.inkSoft,
          flex: '1 1 0',
          minWidth: 240,
          textAlign: 'right',
          lineHeight: 1.25,
        }}
      >
        {caution ?? 'Goggles on.'} Local rules and your instructor decide.
      </Box>
    </Box>
  );
}

/** The step after the one in hand, in sight also where the next half hour stands below the fold. */
function AfterThis({ bench, pending }: { bench: Bench; pending: Draft[] }) {
  const now = useNow(15_000);
  const next = halfHour(bench.evaluation.steps, pending, now)[1];
  if (!next) return null;
  return (
    <span>
      then <b>{named(next.step)}</b>
      {next.from >= 1 && <>, in about {Math.round(next.from)} min</>}
    </span>
  );
}

function Hint({ letter, what, onClick }: { letter: string; what: string; onClick: () => void }) {
  return (
    <ButtonBase onClick={onClick} sx={{ font: 'inherit', gap: 0.75, minHeight: 44 }}>
      <KeyCap>{letter}</KeyCap> {what}
    </ButtonBase>
  );
}
