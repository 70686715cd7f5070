import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { type Shapes } from '../../api/client';
import { useClass, useMe, useSessionState } from '../../api/hooks';
import { ChartView } from '../../charts/ChartView';
import { counted } from '../../identity/counted';
import { Columns } from '../../identity/Columns';
import { Folded } from '../../identity/Folded';
import { Heading } from '../../identity/Heading';
import { NotDone } from '../../identity/NotDone';
import { Loaded, Page } from '../../identity/Page';
import { PartLinks } from '../../sessions/PartLinks';
import { Sheet } from '../../identity/Sheet';
import { Simulated } from '../../sessions/Simulated';
import { dotted } from '../../identity/dotted';
import { day } from '../../time/time';
import { accent } from '../../identity/tokens';
import { VerdictLine } from '../../identity/Verdict';
import { AllReports } from './AllReports';
import { Causes } from './Causes';
import { Marks } from './marks/Marks';
import { Counting } from './Counting';
import { OneResult } from './OneResult';

/** A class after its session. */
export function ClassPage() {
  const [projector, setProjector] = useState(false);
  const page = useClass(Number(useParams().session), projector);
  return (
    <Page wide>
      <Loaded of={page}>
        {(data) => (
          <TheClass page={data} projector={projector} onProjector={() => setProjector(!projector)} />
        )}
      </Loaded>
    </Page>
  );
}

interface Props {
  page: Shapes['ClassPage'];
  projector: boolean;
  onProjector: () => void;
}

function TheClass({ page, projector, onProjector }: Props) {
  const { session, results, causes, pooled } = page;
  const [chosen, setChosen] = useState<number | null>(null);
  const mine = useMe().data?.role === 'instructor';
  const colour = accent(session.family);
  const [first, ...others] = results;
  const shown = { colour, projector, onChoose: projector ? undefined : setChosen };
  return (
    <Box component="main" sx={{ display: 'grid', gap: 2 }}>
      <Heading
        colour={colour}
        title={session.title}
        below={
          <>
            <Simulated how={session.simulated} />{' '}
            {dotted(session.section, session.room, day(session.starts_at), state(page))}
            {!projector && (
              <>
                {' · '}
                <Link to={`/methods/${session.method}/history`}>over the years</Link>
              </>
            )}
            <PartLinks parts={page.together} here={session.id} to={(id) => `/sessions/${id}/class`} />
          </>
        }
        actions={
          <>
            {!projector && (
              <AllReports session={session.id} benches={page.benches.map((bench) => bench.id)} />
            )}
            <Actions {...{ session, projector, onProjector, mine }} />
          </>
        }
      />
      {results.length === 0 && (
        <VerdictLine level="look" lead="No results yet.">
          They show here as soon as one bench has one.
        </VerdictLine>
      )}
      <Columns>
        <Box sx={{ display: 'grid', gap: 3 }}>
          {first && <OneResult {...{ ...shown, result: first }} />}
          {pooled.map(({ of, chart, results: lines }) => (
            <Sheet key={`${chart.key} ${of}`} title="All benches together" note={of}>
              <ChartView chart={chart} colour={colour} />
              {lines.map((line) => (
                <Box key={line}>{line}</Box>
              ))}
            </Sheet>
          ))}
          {others.length > 0 && (
            <Folded title={`${others.length} more result${others.length > 1 ? 's' : ''} of the same benches`}>
              <Box sx={{ display: 'grid', gap: 3 }}>
                {others.map((result) => (
                  <OneResult key={`${result.key} ${result.trial}`} {...{ ...shown, result }} />
                ))}
              </Box>
            </Folded>
          )}
        </Box>
        <Box sx={{ display: 'grid', gap: 3 }}>
          {causes.length > 0 && (
            <Sheet title="What made it so">
              <Causes causes={causes} of={count(page)} colour={colour} numbered={!projector} />
            </Sheet>
          )}
          {!projector && mine && <Marks session={page.session} />}
          {!projector && <Counting {...{ page, chosen, mine }} onChoose={setChosen} />}
        </Box>
      </Columns>
    </Box>
  );
}

const count = (page: Shapes['ClassPage']) => new Set(page.benches.map((bench) => bench.number)).size;

const state = (page: Shapes['ClassPage']) => {
  const { session } = page;
  const released = session.released ? 'results released' : 'results not released';
  return `${counted(count(page), 'bench', 'benches')} at work, ${session.state}, ${released}`;
};

interface ActionProps {
  session: Shapes['SessionCard'];
  projector: boolean;
  onProjector: () => void;
  mine: boolean;
}

function Actions({ session, projector, onProjector, mine }: ActionProps) {
  const change = useSessionState(session.id);
  return (
    <>
      <NotDone lead="Not done." error={change.error} />
      <Button component={Link} to={`/sessions/${session.id}/floor`}>
        The floor
      </Button>
      <Button variant={projector ? 'contained' : 'outlined'} aria-pressed={projector} onClick={onProjector}>
        Without names
      </Button>
      {mine && session.state === 'closed' && (
        <Button
          variant={session.released ? 'outlined' : 'contained'}
          disabled={change.isPending}
          onClick={() => change.mutate(session.released ? 'take_back' : 'release')}
        >
          {session.released ? 'Take the release back' : 'Release'}
        </Button>
      )}
    </>
  );
}
