import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { type Shapes } from '../../api/client';
import { useSections } from '../../api/hooks';
import { counted } from '../../identity/counted';
import { Sheet } from '../../identity/Sheet';
import { FIGURES, ink } from '../../identity/tokens';
import { VerdictLine } from '../../identity/Verdict';
import { useChangeStudent, useNewPin, useSlips } from './useSection';
import { NotDone } from '../../identity/NotDone';
import { AskedTwice } from '../../identity/AskedTwice';

type Student = Shapes['RosterStudent'];

/** The people of a section, and how they get in. */
export function Roster({ page }: { page: Shapes['SectionPage'] }) {
  const { line, students } = page;
  const slips = useSlips(line.id);
  const without = students.filter((student) => !student.has_pin).length;
  return (
    <Sheet title="Roster" note={counted(students.length, 'student')}>
      {line.mine && students.length > 0 && (
        <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', mb: 1 }}>
          {without > 0 && (
            <Button variant="contained" disabled={slips.isPending} onClick={() => slips.mutate([])}>
              {without === 1 ? 'Print 1 slip with a PIN' : `Print ${without} slips with PINs`}
            </Button>
          )}
          {without < students.length && (
            <AskedTwice
              variant="outlined"
              ask="Print slips for everybody anew"
              sure="Yes: everybody gets a new PIN"
              onSure={() => slips.mutate(students.map((student) => student.id))}
            />
          )}
        </Box>
      )}
      {slips.data && (
        <VerdictLine level="keep" lead="Printed.">
          <a href={slips.data} download={`slips-${line.code}.pdf`}>
            Save the slips
          </a>{' '}
          and keep them apart until they are handed out: these PINs are not shown again.
        </VerdictLine>
      )}
      <NotDone lead="Not printed." error={slips.error} />
      {students.map((student) => (
        <Row key={student.id} student={student} section={line} />
      ))}
      {students.length === 0 && <Box sx={{ color: ink.inkSoft }}>Nobody yet.</Box>}
    </Sheet>
  );
}

function Row({ student, section }: { student: Student; section: Shapes['SectionLine'] }) {
  const [open, setOpen] = useState(false);
  const pin = useNewPin(section.id);
  const change = useChangeStudent(section.id);
  const state = student.joined ? '' : student.has_pin ? 'not here yet' : 'no PIN yet';
  return (
    <Box sx={{ borderBottom: `1px solid ${ink.ruleSoft}`, py: 0.5 }}>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, flexWrap: 'wrap' }}>
        <Box sx={{ flex: 1, minWidth: 140 }}>
          {student.name} <span style={{ color: ink.inkSoft, fontFamily: FIGURES }}>{student.number}</span>
        </Box>
        <Box sx={{ color: ink.inkSoft, fontSize: 14 }}>{state}</Box>
        {pin.data ? (
          <Box sx={{ fontFamily: FIGURES, fontWeight: 600, fontSize: 20 }}>PIN {pin.data.pin}</Box>
        ) : (
          <Button size="small" disabled={pin.isPending} onClick={() => pin.mutate(student.id)}>
            New PIN
          </Button>
        )}
        {section.mine && (
          <Button size="small" aria-expanded={open} onClick={() => setOpen(!open)}>
            Change
          </Button>
        )}
      </Box>
      {student.waits && (
        <VerdictLine level="look" lead="Ten wrong PINs.">
          <Button size="small" onClick={() => change.mutate({ student: student.id, unlock: true })}>
            Let {student.name} in again
          </Button>
        </VerdictLine>
      )}
      <NotDone lead="Not done." error={pin.error ?? change.error} />
      {open && (
        <ChangeStudent student={student} section={section.id} change={change} onDone={() => setOpen(false)} />
      )}
    </Box>
  );
}

interface ChangeProps {
  student: Student;
  section: number;
  change: ReturnType<typeof useChangeStudent>;
  onDone: () => void;
}

function ChangeStudent({ student, section, change, onDone }: ChangeProps) {
  const [name, setName] = useState(student.name);
  const [number, setNumber] = useState(student.number);
  const [where, setWhere] = useState(section);
  const others = (useSections().data ?? []).filter((other) => other.mine && !other.archived);
  return (
    <Box sx={{ display: 'grid', gap: 1.5, gridTemplateColumns: { xs: '1fr', sm: '2fr 1fr 2fr' }, py: 1.5 }}>
      <TextField label="Name" value={name} onChange={(event) => setName(event.target.value)} />
      <TextField label="Number" value={number} onChange={(event) => setNumber(event.target.value)} />
      <TextField
        select
        label="Section"
        value={where}
        onChange={(event) => setWhere(Number(event.target.value))}
      >
        {others.map((other) => (
          <MenuItem key={other.id} value={other.id}>
            {other.name}
          </MenuItem>
        ))}
      </TextField>
      <Box sx={{ display: 'flex', gap: 1, gridColumn: '1 / -1', flexWrap: 'wrap' }}>
        <Button
          variant="outlined"
          disabled={change.isPending}
          onClick={() =>
            change.mutate(
              { student: student.id, change: { name, number, section: where } },
              { onSuccess: onDone },
            )
          }
        >
          Keep
        </Button>
        <Button onClick={onDone}>Leave it</Button>
        <AskedTwice
          color="error"
          disabled={change.isPending}
          ask="Take off the roster"
          sure="Yes, off the roster; what was written stays"
          onSure={() => change.mutate({ student: student.id, off: true })}
        />
      </Box>
    </Box>
  );
}
