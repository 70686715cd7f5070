import { lazy, Suspense, type ReactNode } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { Link, Navigate, Outlet, Route, Routes } from 'react-router';
import type { Shapes } from '../api/client';
import { useDepartment, useMe, useMyBenches, useMyPrelabs } from '../api/hooks';
import { Loaded, Page } from '../identity/Page';
import { Shell } from './Shell';

const view = <Name extends string, Props>(
  load: () => Promise<Record<Name, (props: Props) => ReactNode>>,
  name: Name,
) => lazy(async () => ({ default: (await load())[name] }));

const ArchivePage = view(() => import('../features/sections/ArchivePage'), 'ArchivePage');
const BenchPage = view(() => import('../features/bench/BenchPage'), 'BenchPage');
const ChoicesPage = view(() => import('../features/methods/ChoicesPage'), 'ChoicesPage');
const ClassPage = view(() => import('../features/class/ClassPage'), 'ClassPage');
const DeskPage = view(() => import('../features/desk/DeskPage'), 'DeskPage');
const DepartmentPage = view(() => import('../features/people/DepartmentPage'), 'DepartmentPage');
const ExperimentPage = view(() => import('../features/experiments/ExperimentPage'), 'ExperimentPage');
const FloorPage = view(() => import('../features/floor/FloorPage'), 'FloorPage');
const HistoryPage = view(() => import('../features/history/HistoryPage'), 'HistoryPage');
const ImportPage = view(() => import('../features/bench/ImportPage'), 'ImportPage');
const MethodBook = view(() => import('../features/methods/MethodBook'), 'MethodBook');
const MethodPage = view(() => import('../features/methods/MethodPage'), 'MethodPage');
const PlannerPage = view(() => import('../features/planner/PlannerPage'), 'PlannerPage');
const ChangePlanPage = view(() => import('../features/planner/PlannerPage'), 'ChangePlanPage');
const PracticePage = view(() => import('../features/practice/PracticePage'), 'PracticePage');
const PrelabPage = view(() => import('../features/prelab/PrelabPage'), 'PrelabPage');
const PrelabsPage = view(() => import('../features/prelab/PrelabsPage'), 'PrelabsPage');
const ReportPage = view(() => import('../features/report/ReportPage'), 'ReportPage');
const ScenesPage = view(() => import('../features/scenes/ScenesPage'), 'ScenesPage');
const SectionPage = view(() => import('../features/sections/SectionPage'), 'SectionPage');
const SectionsPage = view(() => import('../features/sections/SectionsPage'), 'SectionsPage');
const SessionPage = view(() => import('../features/term/SessionPage'), 'SessionPage');
const SignIn = view(() => import('../features/signin/SignIn'), 'SignIn');
const StockPage = view(() => import('../features/stock/StockPage'), 'StockPage');
const TermPage = view(() => import('../features/term/TermPage'), 'TermPage');
const WeekPage = view(() => import('../features/preparation/WeekPage'), 'WeekPage');
const WelcomePage = view(() => import('../features/people/WelcomePage'), 'WelcomePage');

/** Which view stands at which address; everyone signs in first, but for who comes by a one-time link. */
export function App() {
  const department = useDepartment();
  return (
    <Loaded of={department}>
      {() => (
        <Suspense fallback={null}>
          <Routes>
            <Route path="/welcome/:secret" element={<WelcomePage />} />
            <Route path="*" element={<SignedIn />} />
          </Routes>
        </Suspense>
      )}
    </Loaded>
  );
}

function SignedIn() {
  const me = useMe();
  return (
    <Loaded of={me}>
      {(person) =>
        person === null ? (
          <Suspense>
            <SignIn />
          </Suspense>
        ) : (
          <Suspense fallback={<Loaded of={{ data: undefined, error: null }}>{() => null}</Loaded>}>
            <Routes>
              <Route path="/benches/:bench" element={<BenchPage />} />
              <Route
                element={
                  <Shell me={person}>
                    <Outlet />
                  </Shell>
                }
              >
                <Route
                  path="/"
                  element={person.role === 'student' ? <MyBench /> : <TermPage me={person} />}
                />
                <Route path="/methods" element={<MethodBook />} />
                <Route path="/scenes" element={<ScenesPage />} />
                <Route path="/choices" element={<ChoicesPage />} />
                <Route path="/methods/:slug" element={<MethodPage />} />
                <Route path="/methods/:slug/history" element={<HistoryPage />} />
                <Route path="/experiments/:slug" element={<ExperimentPage />} />
                <Route path="/plan" element={<PlannerPage />} />
                <Route path="/stock" element={<StockPage />} />
                <Route path="/week" element={<WeekPage />} />
                <Route path="/desk" element={<DeskPage />} />
                <Route path="/sections" element={<SectionsPage me={person} />} />
                <Route path="/sections/archive" element={<ArchivePage />} />
                <Route path="/sections/:section" element={<SectionPage />} />
                <Route path="/department" element={<DepartmentPage me={person} />} />
                <Route path="/sessions/:session" element={<SessionPage />} />
                <Route path="/practice" element={<PracticePage me={person} />} />
                <Route path="/before" element={<PrelabsPage />} />
                <Route path="/sessions/:session/before" element={<PrelabPage />} />
                <Route path="/sessions/:session/plan" element={<ChangePlanPage />} />
                <Route path="/sessions/:session/floor" element={<FloorPage />} />
                <Route path="/sessions/:session/class" element={<ClassPage />} />
                <Route path="/benches/:bench/import" element={<ImportPage />} />
                <Route path="/benches/:bench/report" element={<ReportPage />} />
                <Route path="*" element={<Navigate to="/" replace />} />
              </Route>
            </Routes>
          </Suspense>
        )
      }
    </Loaded>
  );
}

/** A student's home is the bench of the running session; else what is still to be done before the next one. */
function MyBench() {
  const benches = useMyBenches();
  const prelabs = useMyPrelabs();
  return (
    <Loaded of={benches}>
      {([first, ...others]) =>
        first?.open && others.some((other) => other.open && other.simulated) ? (
          <WhichBench benches={[first, ...others].filter((bench) => bench.open)} />
        ) : first?.open ? (
          <Navigate to={`/benches/${first.id}`} replace />
        ) : (
          <Loaded of={prelabs}>
            {(lines) => {
              if (lines.some((line) => line.done < line.of)) return <Navigate to="/before" replace />;
              return first ? <Navigate to={`/benches/${first.id}`} replace /> : <NoBench />;
            }}
          </Loaded>
        )
      }
    </Loaded>
  );
}

/** A simulated bench is open as well: which is it to be now? */
function WhichBench({ benches }: { benches: Shapes['BenchPlace'][] }) {
  return (
    <Page>
      <h1>Which bench?</h1>
      <Box sx={{ display: 'grid', gap: 1.5, justifyItems: 'start' }}>
        {benches.map((bench) => (
          <Button key={bench.id} component={Link} to={`/benches/${bench.id}`} variant="outlined" size="large">
            {bench.title}, bench {bench.number}
          </Button>
        ))}
      </Box>
    </Page>
  );
}

function NoBench() {
  return (
    <p style={{ padding: 24 }}>
      No session is open for you yet. Your instructor opens it; this page finds it then.
    </p>
  );
}
