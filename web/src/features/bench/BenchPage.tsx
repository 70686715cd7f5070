import Box from '@mui/material/Box';
import useMediaQuery from '@mui/material/useMediaQuery';
import type { ReactNode } from 'react';
import { useParams } from 'react-router';
import { useBench, useMe } from '../../api/hooks';
import { Loaded } from '../../identity/Page';
import { Parts } from '../../identity/Parts';
import { accent, ink } from '../../identity/tokens';
import type { Author } from '../../queue/store';
import { WaitingOfOthers } from '../../queue/Waiting';
import { useScenesAhead } from '../../scenes/useScene';
import { BenchDialogs } from './BenchDialogs';
import { BenchHeader } from './BenchHeader';
import { BenchFooter, NextSentence, Said } from './BenchLines';
import { NotReady } from './NotReady';
import { NotSent } from './NotSent';
import { trialName, type Bench } from './hand';
import { InHand } from './InHand';
import { Ledger } from './Ledger';
import { BesideOthers, Expected, OnRecord } from './OnRecord';
import { PlaceTabs } from './PlaceTabs';
import { StepsRail } from './StepsRail';
import { useAtBench, type AtBench, type Part } from './useAtBench';

/** A student's bench. */
export function BenchPage() {
  const id = Number(useParams().bench);
  const bench = useBench(id);
  const me = useMe().data;
  return <Loaded of={bench}>{(data) => me && <AtTheBench key={data.id} bench={data} me={me} />}</Loaded>;
}

const PAGE = {
  display: 'grid',
  gridTemplateRows: 'auto auto auto auto 1fr auto',
  gridTemplateColumns: 'minmax(0, 1fr)',
  minHeight: '100dvh',
  height: { lg: '100dvh' },
} as const;

function AtTheBench({ bench, me }: { bench: Bench; me: Author }) {
  const at = useAtBench(bench, me);
  useScenesAhead(bench.evaluation.steps.map((step) => step.scene));
  const narrow = useMediaQuery('(max-width: 699px)');
  const { outbox, task } = at;
  return (
    <Box sx={PAGE}>
      <BenchHeader bench={bench} outbox={outbox} onCall={() => at.setAsking('call')} />
      <Box>
        <PlaceTabs bench={bench} colour={accent(bench.session.family)} />
      </Box>
      <NextSentence bench={bench} task={task} onChoose={at.choose} />
      <Box>
        <Said bench={bench} refused={outbox.refused} onDismiss={outbox.dismiss} />
        <NotReady bench={bench} />
        <NotSent outbox={outbox} />
        <WaitingOfOthers me={me.id} />
      </Box>
      <ThreeParts bench={bench} at={at} narrow={narrow} />
      {narrow ? (
        <Parts label="Parts of the bench" parts={PARTS} chosen={at.part} onChoose={at.setPart} />
      ) : (
        <BenchFooter bench={bench} task={task} pending={outbox.pending} onAsk={at.setAsking} />
      )}
      <BenchDialogs
        asking={at.asking}
        trial={trialName(bench, task.trial)}
        onClose={() => at.setAsking(null)}
        onSay={at.say}
      />
    </Box>
  );
}

const PARTS: [Part, string][] = [
  ['steps', 'Steps'],
  ['reading', 'Reading'],
  ['ledger', 'Ledger'],
];

const COLUMNS = {
  display: 'grid',
  minHeight: 0,
  gridTemplateColumns: { xs: '1fr', lg: '252px minmax(0, 1fr) 408px' },
  '@media (min-width: 700px) and (max-width: 1199px)': { gridTemplateColumns: '232px minmax(0, 1fr)' },
};
const edge = `1px solid ${ink.ruleSoft}`;
const PLACES: Record<Part, object> = {
  steps: { p: 2, bgcolor: ink.ground, borderRight: edge },
  reading: { p: { xs: 2, md: 3 }, bgcolor: ink.sheet },
  ledger: {
    p: 2.5,
    bgcolor: ink.ground,
    borderLeft: { lg: edge },
    '@media (min-width: 700px) and (max-width: 1199px)': { gridColumn: '1 / -1', borderTop: edge },
  },
};

/** Steps, the reading in hand and the ledger: side by side, or one at a time on a phone. */
function ThreeParts({ bench, at, narrow }: { bench: Bench; at: AtBench; narrow: boolean }) {
  const { task, outbox } = at;
  const colour = accent(bench.session.family);
  const open = bench.session.state === 'open';
  const { pending } = outbox;
  const parts: Record<Part, ReactNode> = {
    steps: (
      <StepsRail
        steps={bench.evaluation.steps}
        {...{ task, colour, pending }}
        onTimer={at.beginWait}
        onChoose={at.chooseStep}
      />
    ),
    reading: (
      <InHand
        key={at.place}
        {...{ bench, task, colour, open, pending }}
        online={outbox.online}
        kept={outbox.refused.length ? null : at.kept}
        onTimer={at.beginWait}
        onChoose={at.choose}
        onPhoto={at.photo}
        onLetter={at.ask}
        typedAhead={at.typedAhead}
        onKeep={at.keep}
        onBack={at.leaveChoice}
      />
    ),
    ledger: (
      <>
        <Ledger {...{ bench, pending, colour }} onChoose={at.choose} />
        <Expected bench={bench} />
        <BesideOthers bench={bench} />
        <OnRecord {...{ bench, pending, open }} onPhoto={at.photo} />
      </>
    ),
  };
  return (
    <Box component="main" sx={COLUMNS}>
      {PARTS.map(([part]) => (
        <Box
          key={part}
          sx={{
            ...PLACES[part],
            overflowY: 'auto',
            display: narrow && at.part !== part ? 'none' : undefined,
          }}
        >
          {parts[part]}
        </Box>
      ))}
    </Box>
  );
}
