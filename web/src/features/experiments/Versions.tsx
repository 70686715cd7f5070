import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { sentence, type Shapes } from '../../api/client';
import { counted } from '../../identity/counted';
import { Sheet } from '../../identity/Sheet';
import { VerdictLine } from '../../identity/Verdict';
import { day } from '../../time/time';
import { ink } from '../../identity/tokens';
import type { Entry } from './draft';
import { versionOf } from './useDraft';

interface Props {
  page: Shapes['ExperimentPage'];
  onTake: (declaration: Entry) => void;
}

/** Every version that was kept. An old one can be taken up again; it then is the draft. */
export function Versions({ page, onTake }: Props) {
  const [error, setError] = useState('');
  const [taken, setTaken] = useState<number | null>(null);
  const take = (number: number) =>
    versionOf(page.card.slug, number)
      .then((declaration) => {
        onTake(declaration);
        setTaken(number);
      })
      .catch((problem: unknown) => setError(sentence(problem)));
  return (
    <Sheet title="Versions" note="A session keeps the version it was opened with.">
      {page.versions.map((version, at) => (
        <Box
          key={version.number}
          sx={{
            display: 'flex',
            gap: 2,
            alignItems: 'center',
            flexWrap: 'wrap',
            py: 1,
            borderBottom: `1px solid ${ink.ruleSoft}`,
          }}
        >
          <Box sx={{ flex: 1, minWidth: 220 }}>
            <strong>Version {version.number}</strong>
            {version.ready ? '' : ', draft'}
            {version.note && `: ${version.note}`}
            <Box sx={{ color: ink.inkSoft, fontSize: 14 }}>
              {day(version.saved_at)}
              {version.sessions > 0 && ` · ${counted(version.sessions, 'session')}`}
            </Box>
          </Box>
          <Button
            component="a"
            href={`/api/experiments/${page.card.slug}/file?version=${version.number}`}
            download
          >
            Save as a file
          </Button>
          {at > 0 && <Button onClick={() => void take(version.number)}>Take it up again</Button>}
        </Box>
      ))}
      {taken !== null && (
        <Box sx={{ mt: 1.5 }}>
          <VerdictLine level="keep" lead="Taken up.">
            The draft says now what version {taken} said.
          </VerdictLine>
        </Box>
      )}
      {error && (
        <VerdictLine level="look" lead="Not taken up.">
          {error}
        </VerdictLine>
      )}
    </Sheet>
  );
}
