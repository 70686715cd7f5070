import Box from '@mui/material/Box';
import useMediaQuery from '@mui/material/useMediaQuery';
import { useEffect, useState } from 'react';
import { useParams } from 'react-router';
import { useBench, useMe } from '../../api/hooks';
import { timerKey } from '../../api/places';
import { Loaded } from '../../identity/Page';
import { Parts } from '../../identity/Parts';
import { accent, ink } from '../../identity/tokens';
import type { Author } from '../../queue/store';
import { useOutbox } from '../../queue/useOutbox';
import { WaitingOfOthers } from '../../queue/Waiting';
import { BenchDialogs, type Asking } from './BenchDialogs';
import { BenchHeader } from './BenchHeader';
import { BenchFooter, NextSentence, Said } from './BenchLines';
import { NotSent } from './NotSent';
import { nextInStep, taskInHand, trialName, type Bench, type Slot } from './hand';
import { InHand } from './InHand';
import { Ledger } from './Ledger';
import { OnRecord } from './OnRecord';
import { StepsRail } from './StepsRail';

/** A student's bench. */
export function BenchPage() {
  const id = Number(useParams().bench);
  const bench = useBench(id);
  const me = useMe().data;
  return <Loaded of={bench}>{(data) => me && <AtTheBench bench={data} me={me} />}</Loaded>;
}

const LETTERS: Record<string, Asking> = { r: 'reject', o: 'note', h: 'call', '?': 'keys' };
type Part = 'steps' | 'reading' | 'ledger';

function AtTheBench({ bench, me }: { bench: Bench; me: Author }) {
  const outbox = useOutbox(bench.id, me);
  const [chosen, setChosen] = useState<Slot | null>(null);
  const [asking, setAsking] = useState<Asking>(null);
  const [part, setPart] = useState<Part>('reading');
  const narrow = useMediaQuery('(max-width: 699px)');
  const task = taskInHand(bench, chosen, outbox.pending);
  const colour = accent(bench.session.family);
  const open = bench.session.state === 'open';

  const ask = (letter: string) => {
    const wanted = LETTERS[letter.toLowerCase()] ?? null;
    if (wanted === null || (wanted === 'reject' && task.trial === null)) return false;
    setAsking(wanted);
    return true;
  };
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const inField = event.target instanceof HTMLInputElement || event.target instanceof HTMLTextAreaElement;
      if (!inField && !event.ctrlKey && !event.metaKey && !event.altKey && asking === null) ask(event.key);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  });

  const choose = (slot: Slot) => {
    setChosen(slot);
    setPart('reading');
  };
  const say = (what: 'call' | 'note' | 'reject', text: string) => {
    setAsking(null);
    const key = what === 'reject' ? 'void' : what;
    void outbox.write({ key, text, trial: what === 'reject' ? task.trial : null });
    if (what === 'reject') setChosen(null);
  };

  const photo = (text: string, image: string) => void outbox.write({ key: 'photo', text, image });

  const shown = (which: Part) => (!narrow || part === which ? undefined : 'none');
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateRows: 'auto auto auto 1fr auto',
        gridTemplateColumns: 'minmax(0, 1fr)',
        minHeight: '100dvh',
        height: { lg: '100dvh' },
      }}
    >
      <BenchHeader bench={bench} outbox={outbox} onCall={() => setAsking('call')} />
      <NextSentence bench={bench} task={task} onChoose={choose} />
      <Box>
        <Said bench={bench} refused={outbox.refused} onDismiss={outbox.dismiss} />
        <NotSent outbox={outbox} />
        <WaitingOfOthers me={me.id} />
      </Box>
      <Box
        component="main"
        sx={{
          display: 'grid',
          minHeight: 0,
          gridTemplateColumns: { xs: '1fr', lg: '252px minmax(0, 1fr) 408px' },
          '@media (min-width: 700px) and (max-width: 1199px)': {
            gridTemplateColumns: '232px minmax(0, 1fr)',
          },
        }}
      >
        <Box
          sx={{
            display: shown('steps'),
            p: 2,
            bgcolor: ink.ground,
            borderRight: `1px solid ${ink.ruleSoft}`,
            overflowY: 'auto',
          }}
        >
          <StepsRail
            steps={bench.evaluation.steps}
            task={task}
            colour={colour}
            pending={outbox.pending}
            onTimer={(step) =>
              void outbox.write({ key: timerKey(step.key), text: 'begun', trial: step.trial })
            }
            onChoose={(step) => {
              const first = bench.evaluation.tasks.find(
                (one) => one.step === step.key && one.trial === step.trial,
              );
              if (first) choose(first);
            }}
          />
        </Box>
        <Box sx={{ display: shown('reading'), p: { xs: 2, md: 3 }, bgcolor: ink.sheet, overflowY: 'auto' }}>
          <InHand
            key={`${task.key}/${task.trial}/${task.index}/${chosen ? 'chosen' : 'next'}`}
            {...{ bench, task, colour, open }}
            pending={outbox.pending}
            onTimer={() => void outbox.write({ key: timerKey(task.step), text: 'begun', trial: task.trial })}
            onChoose={choose}
            online={outbox.online}
            onPhoto={photo}
            onLetter={ask}
            onKeep={(text, correction) => {
              // what is made only if needed may call for more, which the server knows; else one goes on in the step
              const onward = chosen && !task.done && !task.optional;
              const follows = onward ? nextInStep(bench, task, outbox.pending) : undefined;
              setChosen(follows ?? null);
              void outbox.write({
                key: task.key,
                text,
                trial: task.trial,
                index: task.index,
                ...(correction ?? {}),
              });
            }}
            onBack={chosen ? () => setChosen(null) : undefined}
          />
        </Box>
        <Box
          sx={{
            display: shown('ledger'),
            p: 2.5,
            bgcolor: ink.ground,
            borderLeft: { lg: `1px solid ${ink.ruleSoft}` },
            overflowY: 'auto',
            '@media (min-width: 700px) and (max-width: 1199px)': {
              gridColumn: '1 / -1',
              borderTop: `1px solid ${ink.ruleSoft}`,
            },
          }}
        >
          <Ledger bench={bench} pending={outbox.pending} colour={colour} onChoose={choose} />
          <OnRecord bench={bench} pending={outbox.pending} open={open} onPhoto={photo} />
        </Box>
      </Box>
      {narrow ? (
        <Parts label="Parts of the bench" parts={PARTS} chosen={part} onChoose={setPart} />
      ) : (
        <BenchFooter bench={bench} task={task} onAsk={setAsking} />
      )}
      <BenchDialogs
        asking={asking}
        trial={trialName(bench, task.trial)}
        onClose={() => setAsking(null)}
        onSay={say}
      />
    </Box>
  );
}

const PARTS: [Part, string][] = [
  ['steps', 'Steps'],
  ['reading', 'Reading'],
  ['ledger', 'Ledger'],
];
