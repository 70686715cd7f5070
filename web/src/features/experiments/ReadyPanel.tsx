import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { sentence, type Shapes } from '../../api/client';
import { Sheet } from '../../identity/Sheet';
import { VerdictLine } from '../../identity/Verdict';
import { ink } from '../../identity/tokens';
import { useDiscard, useMakeReady, useWithdraw, type useDraft } from './useDraft';
import { NotDone } from '../../identity/NotDone';

interface Props {
  page: Shapes['ExperimentPage'];
  work: ReturnType<typeof useDraft>;
  onTry: () => void;
}

/** Does it hold, what does it lack, was it tried: and then it may be used. */
export function ReadyPanel({ page, work, onTry }: Props) {
  const [note, setNote] = useState('');
  const ready = useMakeReady(page.card.slug);
  const holds = page.problems.length === 0;
  const complete = holds && page.lacks.length === 0;
  return (
    <Box sx={{ position: { md: 'sticky' }, top: 16, display: 'grid', gap: 2 }}>
      <Sheet title="Can it be used?" note={work.saving ? 'Saving …' : work.error ? '' : 'Saved'}>
        <Box sx={{ display: 'grid', gap: 1.25 }}>
          {work.error && (
            <VerdictLine level="look" lead="Not saved.">
              {sentence(work.error)} <Button onClick={() => work.change({ ...work.draft })}>Try again</Button>
            </VerdictLine>
          )}
          <Said level="stop" lead="Does not hold." lines={page.problems} />
          <Said level="look" lead="Still missing." lines={page.lacks} />
          {holds && <Wishes lines={page.wishes} />}
          {complete && !page.ready && !page.tried && (
            <VerdictLine level="look" lead="Holds, and is complete.">
              Now try it out on simulated or typed readings.
            </VerdictLine>
          )}
          {complete && page.tried && !page.ready && (
            <VerdictLine level="keep" lead="Tried.">
              Sessions can be planned with it as soon as you say so.
            </VerdictLine>
          )}
          {page.ready && (
            <VerdictLine level="keep" lead={`Version ${page.number} is ready.`}>
              Whatever you change begins a new version; sessions that were opened keep theirs.
            </VerdictLine>
          )}
          <NotDone lead="Not yet." error={ready.error} />
          {complete && !page.ready && page.tried && (
            <>
              <TextField
                label="What is new, in a few words"
                value={note}
                onChange={(event) => setNote(event.target.value)}
                slotProps={{ htmlInput: { maxLength: 200 } }}
              />
              <Button
                variant="contained"
                disabled={work.saving || ready.isPending}
                onClick={() => ready.mutate(note, { onSuccess: () => setNote('') })}
              >
                Make it ready for sessions
              </Button>
            </>
          )}
          {holds && !page.ready && !page.tried && (
            <Button variant={complete ? 'contained' : 'outlined'} onClick={onTry}>
              Try it out
            </Button>
          )}
          {page.ready && (
            <Button variant="contained" component={Link} to={`/plan?method=${page.card.slug}`}>
              Plan a session with it
            </Button>
          )}
        </Box>
      </Sheet>
      <Other page={page} />
    </Box>
  );
}

/** What classes would be better with: it holds up nothing. */
function Wishes({ lines }: { lines: string[] }) {
  if (lines.length === 0) return null;
  return (
    <Box sx={{ color: ink.inkSoft, fontSize: 14 }}>
      This may wait, and its page says so:
      <Box component="ul" sx={{ m: 0, mt: 0.5, pl: 2 }}>
        {lines.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </Box>
    </Box>
  );
}

function Said({ level, lead, lines }: { level: 'stop' | 'look'; lead: string; lines: string[] }) {
  if (lines.length === 0) return null;
  return (
    <VerdictLine level={level} lead={lead}>
      <Box component="ul" sx={{ m: 0, mt: 0.5, pl: 2, overflowWrap: 'anywhere' }}>
        {lines.slice(0, 8).map((line) => (
          <li key={line}>{line}</li>
        ))}
        {lines.length > 8 && <li>and {lines.length - 8} more.</li>}
      </Box>
    </VerdictLine>
  );
}

function Other({ page }: { page: Props['page'] }) {
  const withdraw = useWithdraw(page.card.slug);
  const discard = useDiscard(page.card.slug);
  const go = useNavigate();
  const withdrawn = page.card.state === 'withdrawn';
  const error = withdraw.error ?? discard.error;
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.5, color: ink.inkSoft }}>
      <Button component="a" href={`/api/experiments/${page.card.slug}/file`} download>
        Save as a file
      </Button>
      {!page.ready && (
        <Button
          onClick={() => discard.mutate(undefined, { onSuccess: () => void go('/methods') })}
          disabled={discard.isPending}
        >
          {page.versions.some((version) => version.ready) ? 'Throw this draft away' : 'Throw it away'}
        </Button>
      )}
      {(page.ready || withdrawn) && (
        <Button onClick={() => withdraw.mutate(!withdrawn)} disabled={withdraw.isPending}>
          {withdrawn ? 'Put it back into the method book' : 'Take it out of the method book'}
        </Button>
      )}
      <NotDone lead="Not done." error={error} />
    </Box>
  );
}
