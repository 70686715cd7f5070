import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import { Link } from 'react-router';
import { sentence, type Shapes } from '../../api/client';
import { counted } from '../../identity/counted';
import { dotted } from '../../identity/dotted';
import { FileButton } from '../../identity/FileButton';
import { Heading } from '../../identity/Heading';
import { NotDone } from '../../identity/NotDone';
import { Page } from '../../identity/Page';
import { Sheet } from '../../identity/Sheet';
import { TABLE } from '../../identity/table';
import { accent, ink } from '../../identity/tokens';
import { VerdictLine } from '../../identity/Verdict';
import { useArchive } from './useArchive';

/** A saved section, session or history of a method comes back: looked into first, brought in when that is confirmed. */
export function ArchivePage() {
  const { sent, look, bring } = useArchive();
  return (
    <Page>
      <Heading
        colour={accent('')}
        title="Bring in an archive"
        below={<Link to="/sections">Back to the sections</Link>}
      />
      <Box sx={{ display: 'grid', gap: 3, maxWidth: 860 }}>
        <Sheet title="Choose the file">
          <Box sx={{ color: ink.inkSoft, mb: 1 }}>
            It was saved on a section’s or a session’s page, or with the years of a method. It becomes new
            sections of yours; nothing that is here is changed.
          </Box>
          <FileButton
            label="Archive (.zip)"
            accept=".zip"
            disabled={look.isPending || bring.isPending}
            onChoose={(file) => look.mutate(file)}
          />
          {look.isPending && <LinearProgress variant="determinate" value={sent * 100} aria-label="Sent" />}
          <NotDone lead="Not read." error={look.error} />
        </Sheet>
        {look.data && !bring.data && (
          <Inside of={look.data} busy={bring.isPending} error={bring.error} onBring={() => bring.mutate()} />
        )}
        {bring.data && <Brought sections={bring.data.sections} names={look.data?.sections ?? []} />}
      </Box>
    </Page>
  );
}

interface InsideProps {
  of: Shapes['ArchiveInside'];
  busy: boolean;
  error: unknown;
  onBring: () => void;
}

function Inside({ of, busy, error, onBring }: InsideProps) {
  return (
    <Sheet
      title={`Saved ${of.made_at.slice(0, 10)}${of.department && ` in ${of.department}`}`}
      note={of.photos > 0 ? `with ${counted(of.photos, 'photo')}` : ''}
    >
      <VerdictLine level={of.ours ? 'keep' : 'look'} lead={of.ours ? 'Ours.' : 'From elsewhere.'}>
        {of.ours
          ? 'It is as this installation sealed it.'
          : 'This installation did not seal it, so it cannot vouch for it; every record will say so.'}
      </VerdictLine>
      {of.sections.map((section, number) => (
        <Box key={number} sx={{ mt: 2 }}>
          <Box sx={{ fontWeight: 700, fontSize: 17 }}>{dotted(section.name, section.term)}</Box>
          <Box sx={{ color: ink.inkSoft, fontSize: 14 }}>
            {counted(section.students, 'student')}, without PINs
          </Box>
          <Sessions of={section.sessions} />
        </Box>
      ))}
      <Box sx={{ mt: 2, display: 'grid', gap: 1, justifyItems: 'start' }}>
        {(of.problem || error != null) && (
          <VerdictLine level="look" lead="Not brought in.">
            {of.problem || sentence(error)}
          </VerdictLine>
        )}
        <Button variant="contained" disabled={busy || Boolean(of.problem)} onClick={onBring}>
          {of.sections.length === 1 ? 'Bring it in' : `Bring in ${of.sections.length} sections`}
        </Button>
      </Box>
    </Sheet>
  );
}

function Sessions({ of }: { of: Shapes['SessionInside'][] }) {
  return (
    <Box component="table" sx={{ ...TABLE, mt: 0.5 }}>
      <thead>
        <tr>
          {['Session', 'When', 'Benches', 'Entries'].map((head) => (
            <th key={head} scope="col">
              {head}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {of.map((session, number) => (
          <tr key={number}>
            <td>
              {session.title}
              <Box sx={{ color: ink.inkSoft, fontSize: 13.5 }}>{session.method}</Box>
            </td>
            <td>{session.starts_at.slice(0, 10)}</td>
            <td>{session.benches}</td>
            <td>{session.entries}</td>
          </tr>
        ))}
      </tbody>
    </Box>
  );
}

function Brought({ sections, names }: { sections: number[]; names: Shapes['SectionInside'][] }) {
  return (
    <VerdictLine level="keep" lead="Brought in.">
      {sections.map((id, number) => (
        <span key={id}>
          {number > 0 && ', '}
          <Link to={`/sections/${id}`}>{names[number]?.name ?? 'The section'}</Link>
        </span>
      ))}
      . Its students get new PINs there; its sessions stand on your term.
    </VerdictLine>
  );
}
