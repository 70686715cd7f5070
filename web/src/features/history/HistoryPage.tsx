import Box from '@mui/material/Box';
import { Link, useParams } from 'react-router';
import { useQuery } from '@tanstack/react-query';
import { api, said, type Shapes } from '../../api/client';
import { useMe } from '../../api/hooks';
import { ChartView } from '../../charts/ChartView';
import { counted } from '../../identity/counted';
import { Heading } from '../../identity/Heading';
import { Loaded, Page } from '../../identity/Page';
import { Sheet } from '../../identity/Sheet';
import { accent, ink } from '../../identity/tokens';
import { OverTimeTable } from './OverTimeTable';
import { Signals } from './Signals';

const useHistory = (slug: string) =>
  useQuery({
    queryKey: ['history', slug],
    queryFn: () => said(api.GET('/api/methods/{slug}/history', { params: { path: { slug } } })),
  });

/** A method over the years: each class, the last beside those before, and what to watch next time. */
export function HistoryPage() {
  const history = useHistory(useParams().slug ?? '');
  return (
    <Page wide>
      <Loaded of={history}>{(page) => <History of={page} />}</Loaded>
    </Page>
  );
}

function History({ of }: { of: Shapes['MethodHistory'] }) {
  const colour = accent(of.family);
  const mine = useMe().data?.role === 'instructor' && of.sessions.length > 0;
  return (
    <Box sx={{ display: 'grid', gap: 3 }}>
      <Heading
        colour={colour}
        above="Over the years"
        title={of.title}
        below={
          <>
            <Link to={`/methods/${of.slug}`}>The method</Link>
            {mine && (
              <>
                {' · '}
                <a href={`/api/methods/${of.slug}/archive.zip`} download>
                  save your sessions of it as a file
                </a>
              </>
            )}
          </>
        }
      />
      {of.results.length === 0 && <p>It was not held yet. Its classes stand here once they were.</p>}
      {of.results.map((result) => (
        <Result
          key={`${result.key} ${result.trial}`}
          result={result}
          sessions={of.sessions}
          colour={colour}
        />
      ))}
      {of.watch.length > 0 && <Watch lessons={of.watch} />}
    </Box>
  );
}

interface Props {
  result: Shapes['ResultOverTime'];
  sessions: Shapes['SessionCard'][];
  colour: string;
}

function Result({ result, sessions, colour }: Props) {
  const { found } = result;
  return (
    <Sheet title={result.label} note={result.unit}>
      <Box sx={{ fontSize: 17, mb: 1.5 }}>{found.sentence}</Box>
      <Box
        sx={{
          display: 'grid',
          gap: 3,
          gridTemplateColumns: {
            xs: 'minmax(0, 1fr)',
            md: found.chart ? 'minmax(0, 3fr) minmax(0, 2fr)' : '1fr',
          },
        }}
      >
        <OverTimeTable result={result} sessions={sessions} />
        {found.chart && (
          <Box>
            <ChartView chart={found.chart} colour={colour} />
            <Signals of={found.signals} />
          </Box>
        )}
      </Box>
    </Sheet>
  );
}

/** What went wrong most often: what one tells the class before it begins. */
function Watch({ lessons }: { lessons: Shapes['Lesson'][] }) {
  return (
    <Sheet title="To watch next time">
      {lessons.map((lesson) => (
        <Box key={lesson.what} sx={{ display: 'flex', justifyContent: 'space-between', gap: 2, py: 0.5 }}>
          <span>{lesson.what}</span>
          <Box component="span" sx={{ color: ink.inkSoft, whiteSpace: 'nowrap' }}>
            {lesson.benches} of {counted(lesson.of, 'bench', 'benches')}
          </Box>
        </Box>
      ))}
    </Sheet>
  );
}
