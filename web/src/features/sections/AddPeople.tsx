import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { type Shapes } from '../../api/client';
import { FileButton } from '../../identity/FileButton';
import { NotDone } from '../../identity/NotDone';
import { Sheet } from '../../identity/Sheet';
import { FIGURES, ink } from '../../identity/tokens';
import { VerdictLine } from '../../identity/Verdict';
import { base64Of } from '../../api/base64';
import { useAddPeople, useReadRoster } from './useSection';

/** A list of names is read and shown; nothing changes before it is confirmed. */
export function AddPeople({ section }: { section: number }) {
  const [text, setText] = useState('');
  const read = useReadRoster(section);
  const add = useAddPeople(section);
  const done = () => {
    setText('');
    read.reset();
  };
  const good = read.data?.people.filter((person) => !person.problem && !person.known) ?? [];
  const file = async (chosen: File) =>
    read.mutate({ text: '', file: await base64Of(chosen), file_name: chosen.name });
  return (
    <Sheet title="Add people">
      <Box sx={{ display: 'grid', gap: 1.5, pt: 1 }}>
        <TextField
          label="Paste names, one a line"
          multiline
          minRows={4}
          maxRows={10}
          value={text}
          onChange={(event) => setText(event.target.value)}
          helperText="“Ada Okafor”, “Okafor, Ada”, or a table with heads such as surname, first name, number."
        />
        <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
          <Button
            variant="outlined"
            disabled={!text.trim() || read.isPending}
            onClick={() => read.mutate({ text, file: '', file_name: '' })}
          >
            Look at the list
          </Button>
          <FileButton
            label="CSV or XLSX file"
            accept=".csv,.txt,.tsv,.xlsx"
            disabled={read.isPending}
            onChoose={(chosen) => void file(chosen)}
          />
        </Box>
        <NotDone lead="Not read." error={read.error ?? add.error} />
        {read.data && <Preview read={read.data} />}
        {read.data && (
          <Box sx={{ display: 'flex', gap: 1 }}>
            <Button
              variant="contained"
              disabled={good.length === 0 || add.isPending}
              onClick={() =>
                add.mutate(
                  good.map(({ name, number }) => ({ name, number })),
                  { onSuccess: done },
                )
              }
            >
              {good.length === 1 ? 'Add 1 person' : `Add ${good.length} people`}
            </Button>
            <Button onClick={done}>Leave it</Button>
          </Box>
        )}
      </Box>
    </Sheet>
  );
}

function Preview({ read }: { read: Shapes['RosterRead'] }) {
  return (
    <Box>
      {read.columns.length > 0 && (
        <Box sx={{ color: ink.inkSoft, fontSize: 14 }}>Columns: {read.columns.join(', ')}.</Box>
      )}
      {read.notes.map((note) => (
        <VerdictLine key={note} level="look" lead="Look at it.">
          {note}
        </VerdictLine>
      ))}
      <Box sx={{ maxHeight: 320, overflowY: 'auto', borderTop: `1px solid ${ink.ruleSoft}`, mt: 1 }}>
        {read.people.map((person) => (
          <ReadLine key={person.line} person={person} />
        ))}
      </Box>
    </Box>
  );
}

function ReadLine({ person }: { person: Shapes['RosterRead']['people'][number] }) {
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: '34px 1fr auto',
        gap: 1,
        py: 0.5,
        borderBottom: `1px solid ${ink.ruleSoft}`,
        color: person.known ? ink.inkSoft : ink.ink,
      }}
    >
      <span style={{ fontFamily: FIGURES, color: ink.inkSoft }}>{person.line}</span>
      <span>
        {person.name || '–'}
        {person.problem && (
          <Box component="span" sx={{ display: 'block', color: ink.look, fontSize: 14 }}>
            {person.problem}
          </Box>
        )}
      </span>
      <span style={{ fontFamily: person.known ? undefined : FIGURES, color: ink.inkSoft }}>
        {person.known ? 'on the roster' : person.number}
      </span>
    </Box>
  );
}
