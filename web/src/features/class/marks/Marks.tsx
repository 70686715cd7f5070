import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { type Shapes } from '../../../api/client';
import { useMarkBy, useMarks, useReleaseMarks } from './useMarks';
import { Loaded } from '../../../identity/Page';
import { Sheet } from '../../../identity/Sheet';
import { ink } from '../../../identity/tokens';
import { BenchRow } from './BenchRow';
import { RubricChoice } from './RubricChoice';
import { NotDone } from '../../../identity/NotDone';

/** The marks of a session as they are proposed, changed line by line, released. */
export function Marks({ session }: { session: Shapes['SessionCard'] }) {
  const marks = useMarks(session.id);
  return (
    <Sheet
      title="Marks"
      note={marks.data?.rubric && `“${marks.data.rubric.name}”, of ${marks.data.rubric.total}`}
    >
      <Loaded of={marks}>{(page) => <Proposed marks={page} />}</Loaded>
    </Sheet>
  );
}

function Proposed({ marks }: { marks: Shapes['ClassMarks'] }) {
  const { session, rubric, benches } = marks;
  const [open, setOpen] = useState<number | null>(null);
  const [unread, setUnread] = useState(false);
  const [choosing, setChoosing] = useState(false);
  const by = useMarkBy(session.id);
  const waiting = benches.filter((bench) => bench.to_read).length;
  const shown = unread ? benches.filter((bench) => bench.to_read || bench.bench === open) : benches;
  const step = (from: number, by: number) =>
    setOpen(shown[shown.findIndex((bench) => bench.bench === from) + by]?.bench ?? from);
  if (!rubric || choosing)
    return (
      <RubricChoice
        marks={marks}
        choose={(id) => by.mutate(id, { onSuccess: () => setChoosing(false) })}
        error={by.error}
      />
    );
  return (
    <Box>
      <Box sx={{ color: ink.inkSoft, fontSize: 13.5, mb: 1 }}>
        {waiting > 0
          ? `${waiting} of ${benches.length} wait for you to read something.`
          : 'Nothing waits to be read.'}{' '}
        Enter keeps a number, Page Down goes to the next bench.
      </Box>
      {shown.map((bench) => (
        <BenchRow
          key={bench.bench}
          marks={bench}
          session={session.id}
          open={bench.bench === open}
          onOpen={() => setOpen(bench.bench === open ? null : bench.bench)}
          onStep={(by) => step(bench.bench, by)}
        />
      ))}
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', mt: 1 }}>
        {waiting > 0 && (
          <Button size="small" aria-pressed={unread} onClick={() => setUnread(!unread)}>
            {unread ? 'All benches' : 'Only those to be read'}
          </Button>
        )}
        <Button size="small" onClick={() => setChoosing(true)}>
          Another rubric
        </Button>
        <Button size="small" href={`/api/sessions/${session.id}/marks.csv`}>
          For a gradebook, CSV
        </Button>
        <Release marks={marks} />
      </Box>
    </Box>
  );
}

function Release({ marks }: { marks: Shapes['ClassMarks'] }) {
  const release = useReleaseMarks(marks.session.id);
  return (
    <>
      <Button
        size="small"
        variant="outlined"
        disabled={release.isPending}
        onClick={() => release.mutate(!marks.released)}
      >
        {marks.released ? 'Hide the marks again' : 'Release the marks'}
      </Button>
      <NotDone lead="Not released." error={release.error} />
    </>
  );
}
