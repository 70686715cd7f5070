import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { Link, useNavigate, useParams } from 'react-router';
import { type Shapes } from '../../api/client';
import { useMe, useSession, useSessionState } from '../../api/hooks';
import { FoldedSheet } from '../../identity/FoldedSheet';
import { Heading } from '../../identity/Heading';
import { NotDone } from '../../identity/NotDone';
import { Loaded, Page } from '../../identity/Page';
import { PartLinks } from '../../sessions/PartLinks';
import { Pairs } from '../../identity/Pairs';
import { Sheet } from '../../identity/Sheet';
import { Simulated } from '../../sessions/Simulated';
import { dotted } from '../../identity/dotted';
import { day } from '../../time/time';
import { accent } from '../../identity/tokens';
import { VerdictLine } from '../../identity/Verdict';
import { PrepList } from '../preparation/PrepList';
import { Comparison } from './Comparison';
import { GiveUp } from './GiveUp';
import { Log } from './Log';
import { Prepared } from './Prepared';
import { Rehearse } from './Rehearse';
import { Readiness } from './Readiness';
import { Remarks } from './Remarks';
import { Samples } from './Samples';
import { Teams } from './Teams';
import { Turns } from './Turns';

/** A session's plan: what was chosen, who stands where, and the button that opens it. */
export function SessionPage() {
  const session = useSession(Number(useParams().session));
  return (
    <Page>
      <Loaded of={session}>{(plan) => <Plan plan={plan} />}</Loaded>
    </Page>
  );
}

function Plan({ plan }: { plan: Shapes['SessionPlan'] }) {
  const { card } = plan;
  const me = useMe();
  const change = useSessionState(card.id);
  const mine = me.data?.role === 'instructor';
  return (
    <Box sx={{ display: 'grid', gap: 3 }}>
      <Heading
        colour={accent(card.family)}
        title={card.title}
        below={<Below plan={plan} mine={mine} />}
        actions={<Actions card={card} mine={mine} change={change} />}
      />
      <NotDone lead="Not done." error={change.error} />
      {card.lacks.map((lack) => (
        <VerdictLine key={lack} level="look" lead="Still open.">
          {lack}
        </VerdictLine>
      ))}
      <Box
        sx={{
          display: 'grid',
          gap: 3,
          gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1.35fr) minmax(0, 1fr)' },
          alignItems: 'start',
        }}
      >
        <Box sx={{ display: 'grid', gap: 3 }}>
          {plan.timetables.map((timetable) => (
            <Turns key={timetable.label} plan={plan} timetable={timetable} />
          ))}
          <Teams plan={plan} />
          <Readiness session={card.id} />
          {mine && card.state === 'planned' && <Samples plan={plan} />}
          <Remarks plan={plan} mine={mine} />
          {mine && <Comparison plan={plan} />}
          <Log plan={plan} />
          {mine && (card.simulated || ['planned', 'cancelled'].includes(card.state)) && (
            <GiveUp plan={plan} />
          )}
        </Box>
        <Box sx={{ display: 'grid', gap: 3 }}>
          {!card.simulated && ['planned', 'open'].includes(card.state) && <PrepList session={card.id} />}
          {card.state === 'planned' && <Prepared plan={plan} />}
          <FoldedSheet title="Chosen" note={`${plan.options.length} choices`}>
            <Pairs rows={plan.options.map((option) => [option.label, option.text])} />
          </FoldedSheet>
          {card.state !== 'planned' && (
            <Sheet title="Instruments at each bench">
              <Pairs rows={plan.instruments.map(({ label, text }) => [label, text])} />
            </Sheet>
          )}
          {mine && !card.simulated && <Rehearse plan={plan} />}
        </Box>
      </Box>
    </Box>
  );
}

/** What the session is, and where else it leads. */
function Below({ plan, mine }: { plan: Shapes['SessionPlan']; mine: boolean }) {
  const { card } = plan;
  return (
    <>
      <Link to={`/methods/${card.method}`}>{card.method_title}</Link>
      {' · '}
      <Simulated how={card.simulated} />{' '}
      {dotted(card.section, card.room, day(card.starts_at), `${card.minutes} min`, card.state)}
      {' · '}
      <a href={`/api/sessions/${card.id}/form.pdf`} target="_blank" rel="noreferrer">
        form to fill in by hand
      </a>
      {mine && (
        <>
          {' · '}
          <a href={`/api/sessions/${card.id}/archive.zip`} download>
            save as a file
          </a>
        </>
      )}
      <PartLinks parts={plan.together} here={card.id} to={(id) => `/sessions/${id}`} />
    </>
  );
}

interface ActionsProps {
  card: Shapes['SessionPlan']['card'];
  mine: boolean;
  change: ReturnType<typeof useSessionState>;
}

/** What can be done with a session as it now stands. */
function Actions({ card, mine, change }: ActionsProps) {
  const go = useNavigate();
  const again = mine && (
    <Button component={Link} to={`/plan?again=${card.id}`}>
      Plan it again
    </Button>
  );
  const open = () => change.mutate('open', { onSuccess: () => void go(`/sessions/${card.id}/floor`) });
  if (card.state === 'cancelled')
    return (
      mine && (
        <Button variant="outlined" onClick={() => change.mutate('take_up')} disabled={change.isPending}>
          Plan it after all
        </Button>
      )
    );
  if (card.state !== 'planned')
    return (
      <>
        {again}
        <Button component={Link} to={`/sessions/${card.id}/class`}>
          The class
        </Button>
        <Button variant="contained" component={Link} to={`/sessions/${card.id}/floor`}>
          Go to the floor
        </Button>
      </>
    );
  return (
    mine && (
      <>
        {again}
        <Button component={Link} to={`/sessions/${card.id}/plan`}>
          Change the plan
        </Button>
        <Button variant="contained" size="large" onClick={open} disabled={change.isPending}>
          Open the session
        </Button>
      </>
    )
  );
}
