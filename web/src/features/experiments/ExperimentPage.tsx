import Box from '@mui/material/Box';
import { useParams, useSearchParams } from 'react-router';
import type { Shapes } from '../../api/client';
import { useInstruments } from '../../api/hooks';
import { Heading } from '../../identity/Heading';
import { Loaded, Page } from '../../identity/Page';
import { Sheet } from '../../identity/Sheet';
import { accent, ink } from '../../identity/tokens';
import { CHAPTERS } from './chapters';
import { entries, text, type Entry } from './draft';
import { WorkshopContext, type Workshop } from './fields';
import { ReadyPanel } from './ReadyPanel';
import { RecordFields } from './RecordFields';
import { TrialRun } from './TrialRun';
import { useDraft, useExperiment, useVocabulary } from './useDraft';
import { Versions } from './Versions';

/** An instructor's own experiment, to be written, tried and made ready. */
export function ExperimentPage() {
  const slug = useParams().slug ?? '';
  const experiment = useExperiment(slug);
  const vocabulary = useVocabulary();
  const instruments = useInstruments();
  return (
    <Page wide>
      <Loaded of={experiment}>
        {(page) => (
          <Loaded of={vocabulary}>
            {(words) => (
              <Loaded of={instruments}>
                {(tools) => <Editor key={slug} page={page} vocabulary={words} instruments={tools} />}
              </Loaded>
            )}
          </Loaded>
        )}
      </Loaded>
    </Page>
  );
}

interface Props {
  page: Shapes['ExperimentPage'];
  vocabulary: Workshop['vocabulary'];
  instruments: Workshop['instruments'];
}

const LAST = [
  { key: 'run', title: 'Trial run' },
  { key: 'versions', title: 'Versions' },
] as const;

function Editor({ page, vocabulary, instruments }: Props) {
  const work = useDraft(page);
  const { draft } = work;
  const [search, setSearch] = useSearchParams();
  const chapter = search.get('chapter') ?? 'what';
  const setChapter = (key: string) => setSearch({ chapter: key }, { replace: true });
  const method = vocabulary.find((record) => record.name === 'method');
  const open = CHAPTERS.find((shown) => shown.key === chapter);
  return (
    <WorkshopContext
      value={{ draft, vocabulary, instruments, typeset: typesetBy(page), Fields: RecordFields }}
    >
      <Heading
        colour={accent(text(draft.family))}
        above="Own experiment"
        title={text(draft.title) || 'Without a title'}
        below={`${page.card.copied_from ? 'Begun as a copy. ' : ''}Version ${page.number}, ${page.ready ? 'ready' : 'draft'}.`}
      />
      <Box
        sx={{
          display: 'grid',
          gap: 2.5,
          alignItems: 'start',
          gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: '178px minmax(0, 1fr) 316px' },
        }}
      >
        <Contents chapter={chapter} onChapter={setChapter} draft={draft} />
        {open && method && (
          <Sheet title={open.title} note={open.says}>
            <RecordFields record={method} entry={draft} onChange={work.change} only={[...open.fields]} />
          </Sheet>
        )}
        {chapter === 'run' && <TrialRun page={page} work={work} />}
        {chapter === 'versions' && <Versions page={page} onTake={work.change} />}
        <ReadyPanel page={page} work={work} onTry={() => setChapter('run')} />
      </Box>
    </WorkshopContext>
  );
}

interface ContentsProps {
  chapter: string;
  onChapter: (key: string) => void;
  draft: Entry;
}

/** The formula of a quantity as it is printed, once the server has read the draft. */
const typesetBy = (page: Props['page']) => (key: string) => {
  const quantity = page.page?.quantities.find((candidate) => candidate.key === key);
  return quantity ? `${quantity.symbol}<mo>=</mo>${quantity.formula}` : '';
};

const TURNED_TO = {
  all: 'unset',
  boxSizing: 'border-box',
  cursor: 'pointer',
  minHeight: 44,
  display: 'flex',
  alignItems: 'center',
  justifyContent: 'space-between',
  px: 1.5,
  '&:hover': { bgcolor: ink.sheet },
  '&:focus-visible': { outline: `3px solid ${ink.deep}`, outlineOffset: -3 },
};

function Contents({ chapter, onChapter, draft }: ContentsProps) {
  const counted = (fields: readonly string[]) =>
    fields.reduce((sum, name) => sum + entries(draft[name]).length, 0);
  return (
    <Box component="nav" aria-label="Chapters" sx={{ display: 'flex', flexDirection: 'column' }}>
      {[...CHAPTERS, ...LAST].map((part) => {
        const count = 'fields' in part && part.key !== 'what' ? counted(part.fields) : 0;
        const open = part.key === chapter;
        return (
          <Box
            key={part.key}
            component="button"
            type="button"
            aria-current={open ? 'page' : undefined}
            onClick={() => onChapter(part.key)}
            sx={{
              ...TURNED_TO,
              borderLeft: `4px solid ${open ? accent(text(draft.family)) : ink.ruleSoft}`,
              fontWeight: open ? 700 : 400,
              bgcolor: open ? ink.sheet : 'transparent',
            }}
          >
            {part.title}
            {count > 0 && (
              <Box component="span" sx={{ color: ink.inkSoft, fontSize: 13.5, fontWeight: 400 }}>
                {count}
              </Box>
            )}
          </Box>
        );
      })}
    </Box>
  );
}
