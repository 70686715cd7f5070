import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useState, type FormEvent } from 'react';
import { Link, useNavigate } from 'react-router';
import { type Shapes } from '../../api/client';
import { useSections } from '../../api/hooks';
import { counted } from '../../identity/counted';
import { Columns } from '../../identity/Columns';
import { dotted } from '../../identity/dotted';
import { Heading } from '../../identity/Heading';
import { NotDone } from '../../identity/NotDone';
import { Loaded, Page } from '../../identity/Page';
import { Sheet } from '../../identity/Sheet';
import { SheetLink } from '../../identity/SheetLink';
import { accent, FIGURES, ink } from '../../identity/tokens';
import { useMakeSection } from './useSection';

/** The classes one teaches or assists. */
export function SectionsPage({ me }: { me: Shapes['Me'] }) {
  const sections = useSections();
  return (
    <Page>
      <Heading
        colour={accent('')}
        title="Sections"
        below="Your classes: who is in them, and how they join."
      />
      <Columns>
        <Loaded of={sections}>{(all) => <Lines sections={all} />}</Loaded>
        {me.role === 'instructor' && (
          <Box sx={{ display: 'grid', gap: 1 }}>
            <Make />
            <Button component={Link} to="/sections/archive" sx={{ justifySelf: 'start' }}>
              Bring in an archive
            </Button>
          </Box>
        )}
      </Columns>
    </Page>
  );
}

function Lines({ sections }: { sections: Shapes['SectionLine'][] }) {
  return (
    <Box sx={{ display: 'grid', gap: 1.5 }}>
      {sections.length === 0 && (
        <Box sx={{ color: ink.inkSoft }}>No section yet. Make one, then paste its list of names.</Box>
      )}
      {sections.map((section) => (
        <SheetLink
          key={section.id}
          to={`/sections/${section.id}`}
          sx={{
            display: 'grid',
            gridTemplateColumns: '1fr auto',
            gap: 2,
            alignItems: 'center',
            opacity: section.archived ? 0.7 : 1,
          }}
        >
          <Box>
            <Box sx={{ fontWeight: 700, fontSize: 17 }}>{section.name}</Box>
            <Box sx={{ color: ink.inkSoft, fontSize: 14 }}>
              {dotted(
                section.archived ? 'archived' : '',
                section.term,
                counted(section.students, 'student'),
                section.mine ? '' : `taught by ${section.instructor}`,
                section.assistants.length > 0 ? `with ${section.assistants.join(', ')}` : '',
              )}
            </Box>
          </Box>
          {!section.archived && (
            <Box sx={{ fontFamily: FIGURES, fontSize: 22, letterSpacing: 1 }}>{section.code}</Box>
          )}
        </SheetLink>
      ))}
    </Box>
  );
}

function Make() {
  const [name, setName] = useState('');
  const [term, setTerm] = useState('');
  const make = useMakeSection();
  const go = useNavigate();
  const submit = (event: FormEvent) => {
    event.preventDefault();
    make.mutate({ name, term }, { onSuccess: (page) => void go(`/sections/${page.line.id}`) });
  };
  return (
    <Sheet title="A new section">
      <Box component="form" onSubmit={submit} sx={{ display: 'grid', gap: 2, pt: 1 }}>
        <TextField label="Name" value={name} required onChange={(event) => setName(event.target.value)} />
        <TextField label="Term" value={term} onChange={(event) => setTerm(event.target.value)} />
        <Button type="submit" variant="contained" disabled={make.isPending}>
          Make the section
        </Button>
        <NotDone lead="Not made." error={make.error} />
      </Box>
    </Sheet>
  );
}
