import { Suspense } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { Link, matchPath, Navigate, Outlet, Route, Routes } from 'react-router';
import type { Shapes } from '../api/client';
import { useDepartment, useMe, useMyBenches, useMyPrelabs } from '../api/hooks';
import { Loaded, Page } from '../identity/Page';
import { Shell } from './Shell';
import { view, type View } from './view';

const BenchPage = view(() => import('../features/bench/BenchPage'), 'BenchPage');
const SignIn = view(() => import('../features/signin/SignIn'), 'SignIn');
const TermPage = view(() => import('../features/term/TermPage'), 'TermPage');
const WelcomePage = view(() => import('../features/people/WelcomePage'), 'WelcomePage');

/** What stands under the line at the top, by its address. */
const IN_SHELL: Record<string, View<{ me: Shapes['Me'] }>> = {
  '/methods': view(() => import('../features/methods/MethodBook'), 'MethodBook'),
  '/scenes': view(() => import('../features/scenes/ScenesPage'), 'ScenesPage'),
  '/choices': view(() => import('../features/methods/ChoicesPage'), 'ChoicesPage'),
  '/methods/:slug': view(() => import('../features/methods/MethodPage'), 'MethodPage'),
  '/methods/:slug/history': view(() => import('../features/history/HistoryPage'), 'HistoryPage'),
  '/experiments/:slug': view(() => import('../features/experiments/ExperimentPage'), 'ExperimentPage'),
  '/plan': view(() => import('../features/planner/PlannerPage'), 'PlannerPage'),
  '/stock': view(() => import('../features/stock/StockPage'), 'StockPage'),
  '/week': view(() => import('../features/preparation/WeekPage'), 'WeekPage'),
  '/desk': view(() => import('../features/desk/DeskPage'), 'DeskPage'),
  '/sections': view(() => import('../features/sections/SectionsPage'), 'SectionsPage'),
  '/sections/archive': view(() => import('../features/sections/ArchivePage'), 'ArchivePage'),
  '/sections/:section': view(() => import('../features/sections/SectionPage'), 'SectionPage'),
  '/department': view(() => import('../features/people/DepartmentPage'), 'DepartmentPage'),
  '/sessions/:session': view(() => import('../features/term/SessionPage'), 'SessionPage'),
  '/practice': view(() => import('../features/practice/PracticePage'), 'PracticePage'),
  '/before': view(() => import('../features/prelab/PrelabsPage'), 'PrelabsPage'),
  '/sessions/:session/before': view(() => import('../features/prelab/PrelabPage'), 'PrelabPage'),
  '/sessions/:session/plan': view(() => import('../features/planner/PlannerPage'), 'ChangePlanPage'),
  '/sessions/:session/floor': view(() => import('../features/floor/FloorPage'), 'FloorPage'),
  '/sessions/:session/class': view(() => import('../features/class/ClassPage'), 'ClassPage'),
  '/benches/:bench/import': view(() => import('../features/bench/ImportPage'), 'ImportPage'),
  '/benches/:bench/report': view(() => import('../features/report/ReportPage'), 'ReportPage'),
};

for (const [path, View] of Object.entries({ '/benches/:bench': BenchPage, ...IN_SHELL }))
  if (matchPath(path, window.location.pathname)) View.ahead();

/** Which view stands at which address; everyone signs in first, but for who comes by a one-time link. */
export function App() {
  const department = useDepartment();
  useMe(); // asked at the same time
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
                {Object.entries(IN_SHELL).map(([path, View]) => (
                  <Route key={path} path={path} element={<View me={person} />} />
                ))}
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
