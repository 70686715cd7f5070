import Box from '@mui/material/Box';
import { Link, useParams } from 'react-router';
import type { Shapes } from '../../api/client';
import { Columns } from '../../identity/Columns';
import { dotted } from '../../identity/dotted';
import { Heading } from '../../identity/Heading';
import { Loaded, Page } from '../../identity/Page';
import { Sheet } from '../../identity/Sheet';
import { day } from '../../time/time';
import { accent } from '../../identity/tokens';
import { VerdictLine } from '../../identity/Verdict';
import { Progress } from './Progress';
import { TaskCard } from './TaskCard';
import { usePrelab } from './usePrelab';

/** What a student works out and thinks about before a session, by the plan of their own bench. */
export function PrelabPage() {
  const prelab = usePrelab(Number(useParams().session));
  return (
    <Page wide>
      <Loaded of={prelab}>{(view) => <Prelab view={view} />}</Loaded>
    </Page>
  );
}

function Prelab({ view }: { view: Shapes['PrelabView'] }) {
  const { session, tasks, done } = view;
  const colour = accent(session.family);
  return (
    <>
      <Heading
        colour={colour}
        above="Before class"
        title={session.title}
        below={dotted(session.method_title, session.room, day(session.starts_at))}
        actions={<Progress done={done} of={tasks.length} colour={colour} />}
      />
      <Columns right="minmax(280px, 1fr)">
        <Box component="ol" sx={{ listStyle: 'none', m: 0, p: 0, display: 'grid', gap: 2 }}>
          {tasks.map((task, place) => (
            <li key={task.key}>
              <TaskCard
                session={session.id}
                number={place + 1}
                task={task}
                open={view.open}
                colour={colour}
              />
            </li>
          ))}
        </Box>
        <Box sx={{ display: 'grid', gap: 2, position: { md: 'sticky' }, top: 16 }}>
          <Standing view={view} />
          <SafetyFirst view={view} />
        </Box>
      </Columns>
    </>
  );
}

function Standing({ view }: { view: Shapes['PrelabView'] }) {
  const left = view.tasks.length - view.done;
  if (!view.open)
    return (
      <VerdictLine level="look" lead="Over.">
        Nothing is answered before this session any more.
      </VerdictLine>
    );
  if (left === 0)
    return (
      <VerdictLine level="keep" lead="You are ready.">
        Bring what you worked out to your bench.
      </VerdictLine>
    );
  return (
    <VerdictLine level="look" lead={left === 1 ? 'One is left.' : `${left} are left.`}>
      {view.needed
        ? 'Your bench takes its first reading when you are ready.'
        : 'Done before class, it saves you time at the bench.'}
    </VerdictLine>
  );
}

function SafetyFirst({ view }: { view: Shapes['PrelabView'] }) {
  return (
    <Sheet title="Safety first">
      <Box component="ul" sx={{ m: 0, pl: 2.5, display: 'grid', gap: 0.75 }}>
        {view.hazards.map((hazard) => (
          <li key={hazard}>{hazard}</li>
        ))}
      </Box>
      <Box sx={{ mt: 1 }}>
        <Link to={`/methods/${view.session.method}`}>How the experiment is done</Link>
      </Box>
    </Sheet>
  );
}
