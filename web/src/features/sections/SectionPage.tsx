import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { useParams } from 'react-router';
import { type Shapes } from '../../api/client';
import { Columns } from '../../identity/Columns';
import { dotted } from '../../identity/dotted';
import { Heading } from '../../identity/Heading';
import { NotDone } from '../../identity/NotDone';
import { Loaded, Page } from '../../identity/Page';
import { Sheet } from '../../identity/Sheet';
import { accent, FIGURES, ink } from '../../identity/tokens';
import { OneTimeLink } from '../people/OneTimeLink';
import { useLink } from '../people/useStaff';
import { AddPeople } from './AddPeople';
import { Roster } from './Roster';
import { useChangeSection, useSection } from './useSection';
import { AskedTwice } from '../../identity/AskedTwice';

/** One section: who is in it, how they join, who assists. */
export function SectionPage() {
  const section = useSection(Number(useParams().section));
  return (
    <Page>
      <Loaded of={section}>
        {(page) => (
          <>
            <Heading
              colour={accent('')}
              title={page.line.name}
              below={dotted(
                page.line.archived ? 'archived: nobody joins it' : '',
                page.line.term,
                page.line.mine ? '' : `taught by ${page.line.instructor}`,
              )}
            />
            <Columns>
              <Roster page={page} />
              <Box sx={{ display: 'grid', gap: 3 }}>
                <JoinedBy page={page} />
                {page.line.mine && <AddPeople section={page.line.id} />}
                {page.line.mine && <Settings key={page.line.name + page.line.term} page={page} />}
                {page.line.mine && <AsFile section={page.line.id} />}
              </Box>
            </Columns>
          </>
        )}
      </Loaded>
    </Page>
  );
}

function JoinedBy({ page }: { page: Shapes['SectionPage'] }) {
  const change = useChangeSection(page.line.id);
  if (page.line.archived) return null;
  return (
    <Sheet title="For the board">
      <Box sx={{ fontFamily: FIGURES, fontSize: 46, letterSpacing: 4, lineHeight: 1.2 }}>
        {page.line.code}
      </Box>
      <Box sx={{ color: ink.inkSoft }}>Section code: students join with it, their name and their PIN.</Box>
      {page.line.mine && (
        <AskedTwice
          size="small"
          sx={{ ml: -1 }}
          ask="Another code"
          sure="Yes: the old code ends, PINs stay"
          onSure={() => change.mutate('code')}
        />
      )}
    </Sheet>
  );
}

function Settings({ page }: { page: Shapes['SectionPage'] }) {
  const { line, helpers } = page;
  const [name, setName] = useState(line.name);
  const [term, setTerm] = useState(line.term);
  const [helping, setHelping] = useState(
    helpers.filter((helper) => helper.assists).map((helper) => helper.id),
  );
  const change = useChangeSection(line.id);
  const link = useLink();
  const keep = (archived: boolean) => change.mutate({ name, term, archived, assistants: helping });
  return (
    <Sheet title="Name and assistants">
      <Box sx={{ display: 'grid', gap: 1.5, pt: 1 }}>
        <TextField label="Name" value={name} onChange={(event) => setName(event.target.value)} />
        <TextField label="Term" value={term} onChange={(event) => setTerm(event.target.value)} />
        <Box>
          {helpers.map((helper) => (
            <FormControlLabel
              key={helper.id}
              label={`${helper.name} assists`}
              sx={{ display: 'flex' }}
              control={
                <Checkbox
                  checked={helping.includes(helper.id)}
                  onChange={(_, checked) =>
                    setHelping(checked ? [...helping, helper.id] : helping.filter((id) => id !== helper.id))
                  }
                />
              }
            />
          ))}
          <Button
            size="small"
            sx={{ ml: -1 }}
            onClick={() => link.mutate({ role: 'assistant', section: line.id })}
          >
            Invite a new assistant
          </Button>
        </Box>
        {link.data && <OneTimeLink link={link.data} of={`Invitation to assist in ${line.name}.`} />}
        <NotDone lead="Not kept." error={change.error ?? link.error} />
        <Box sx={{ display: 'flex', gap: 1 }}>
          <Button variant="outlined" disabled={change.isPending} onClick={() => keep(line.archived)}>
            Keep
          </Button>
          <Button disabled={change.isPending} onClick={() => keep(!line.archived)}>
            {line.archived ? 'Take it up again' : 'Archive the section'}
          </Button>
        </Box>
      </Box>
    </Sheet>
  );
}

function AsFile({ section }: { section: number }) {
  return (
    <Sheet title="As a file">
      <Box sx={{ color: ink.inkSoft, mb: 1 }}>
        All sessions with their plans, records, photos and marks, and the names on the roster; no PIN is in
        it. Hidden values are: keep it where students do not look.
      </Box>
      <Button variant="outlined" href={`/api/sections/${section}/archive.zip`} download>
        Save the section
      </Button>
    </Sheet>
  );
}
