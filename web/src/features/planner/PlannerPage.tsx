import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { Link, useParams, useSearchParams } from 'react-router';
import { type Shapes } from '../../api/client';
import { useMethods, useSections, useSession } from '../../api/hooks';
import { Columns } from '../../identity/Columns';
import { FoldedSheet } from '../../identity/FoldedSheet';
import { Heading } from '../../identity/Heading';
import { NotDone } from '../../identity/NotDone';
import { Loaded, Page } from '../../identity/Page';
import { Sheet } from '../../identity/Sheet';
import { accent } from '../../identity/tokens';
import { VerdictLine } from '../../identity/Verdict';
import { Consequences } from './Consequences';
import { Choices } from './Choices';
import { NO_OWN_WORK, NO_PRELAB } from './ownWork';
import { PartsField } from './PartsField';
import { planOf, tomorrow, type Changing, type Plan } from './usePlan';
import { usePlanner } from './usePlanner';
import { When } from './When';

/** A new plan: empty, or after one that stands (“?again=12”). */
export function PlannerPage() {
  const [search] = useSearchParams();
  const again = Number(search.get('again'));
  return again ? <AfterPlan id={again} /> : <Ready>{(known) => <NewPlan {...known} />}</Ready>;
}

/** A planned session, changed until it opens. */
export function ChangePlanPage() {
  const id = Number(useParams().session);
  const session = useSession(id);
  return (
    <Loaded of={session}>
      {(page) => (
        <Ready>
          {(known) => (
            <Planner
              {...known}
              title={`Change “${page.card.title}”`}
              first={planOf(page)}
              changing={{ id, revision: page.draft.revision }}
            />
          )}
        </Ready>
      )}
    </Loaded>
  );
}

function AfterPlan({ id }: { id: number }) {
  const session = useSession(id);
  return (
    <Loaded of={session}>
      {(page) => (
        <Ready>
          {(known) => (
            <Planner {...known} title="Plan it again" first={{ ...planOf(page), starts: tomorrow() }} />
          )}
        </Ready>
      )}
    </Loaded>
  );
}

interface Known {
  methods: Shapes['MethodCard'][];
  sections: Shapes['SectionLine'][];
}

/** Everything a plan is chosen from, once it is there. */
function Ready({ children }: { children: (known: Known) => React.ReactNode }) {
  const methods = useMethods();
  const sections = useSections();
  return (
    <Page wide>
      <Loaded of={methods}>
        {(all) => (
          <Loaded of={sections}>
            {(mine) =>
              children({
                methods: all,
                sections: mine.filter((section) => section.mine && !section.archived),
              })
            }
          </Loaded>
        )}
      </Loaded>
    </Page>
  );
}

function NewPlan({ methods, sections }: Known) {
  const [search] = useSearchParams();
  if (sections.length === 0)
    return (
      <VerdictLine level="look" lead="There is no section yet.">
        A session belongs to a section. <Link to="/sections">Make one</Link>, then plan.
      </VerdictLine>
    );
  const first: Plan = {
    method: search.get('method') ?? methods[0]?.slug ?? '',
    section: sections[0]?.id ?? null,
    guests: [],
    title: '',
    room: '',
    starts: tomorrow(),
    minutes: '120',
    benches: '8',
    options: {},
    instruments: {},
    samples: [],
    allSamples: false,
    questions: [],
    ownWork: NO_OWN_WORK,
    prelab: NO_PRELAB,
    follows: null,
    takes: {},
  };
  return <Planner {...{ methods, sections, first }} title="Plan a session" />;
}

interface Props extends Known {
  title: string;
  first: Plan;
  changing?: Changing;
}

/** Choices on the left, consequences on the right as they change. */
function Planner({ methods, sections, title, first, changing }: Props) {
  const planner = usePlanner(first, changing);
  const { plan, put, prediction, tools } = planner;
  const colour = accent(methods.find((method) => method.slug === plan.method)?.family ?? '');
  return (
    <Box
      component="form"
      onSubmit={(event) => {
        event.preventDefault();
        planner.save();
      }}
    >
      <Heading colour={colour} title={title} />
      <Columns right="minmax(320px, 1fr)">
        <Box sx={{ display: 'grid', gap: 3 }}>
          <Sheet title="Which experiment, when and for whom">
            <When {...{ plan, put, methods, sections }} />
          </Sheet>
          <FoldedSheet
            title="Parts of one piece of work"
            note={plan.follows === null ? 'stands alone' : 'goes on with another session'}
            open={plan.follows !== null}
          >
            <PartsField {...{ plan, put }} changing={changing?.id} />
          </FoldedSheet>
          {planner.method && <Choices planner={planner} method={planner.method} />}
        </Box>
        <Box sx={{ position: { md: 'sticky' }, top: 16, display: 'grid', gap: 2 }}>
          <Consequences
            prediction={prediction.data}
            foresight={planner.foresight.data}
            onChoose={planner.choose}
            error={prediction.error}
            colour={colour}
            benches={Number(plan.benches)}
            minutes={Number(plan.minutes)}
            instruments={tools.map((tool) => tool.name)}
          />
          <NotDone lead="Not saved." error={planner.refused} />
          <Button
            type="submit"
            variant="contained"
            size="large"
            disabled={planner.saving || plan.section === null || Boolean(prediction.error)}
            sx={{ minHeight: 52 }}
          >
            {changing ? 'Keep the changes' : 'Save the plan'}
          </Button>
        </Box>
      </Columns>
    </Box>
  );
}
