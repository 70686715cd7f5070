import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { type Shapes } from '../../api/client';
import { Folded } from '../../identity/Folded';
import { CheckIcon } from '../../identity/Icons';
import { NotDone } from '../../identity/NotDone';
import { Sheet } from '../../identity/Sheet';
import { ink } from '../../identity/tokens';
import { useLetIn, useRoomReady } from './useReadiness';

type Student = Shapes['StudentReady'];

/** Who is ready for the session, where others are stuck, and what they wrote in words. Nothing where nothing is asked. */
export function Readiness({ session }: { session: number }) {
  const room = useRoomReady(session).data;
  const change = useLetIn(session);
  if (!room || room.students.length === 0) return null;
  const ready = room.students.filter((student) => student.done === student.of).length;
  return (
    <Sheet title="Before class" note={`${ready} of ${room.students.length} are ready`}>
      <NotDone lead="Not done." error={change.error} />
      <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
        {room.students.map((student) => (
          <Line
            key={student.id}
            student={student}
            lets={room.needed}
            onLetIn={(let_in) => change.mutate({ student: student.id, let_in })}
          />
        ))}
      </Box>
      <InWords students={room.students} />
    </Sheet>
  );
}

interface LineProps {
  student: Student;
  /** Benches wait for it. */
  lets: boolean;
  onLetIn: (allowed: boolean) => void;
}

function Line({ student, lets, onLetIn }: LineProps) {
  const ready = student.done === student.of;
  return (
    <Box component="li" sx={{ borderBottom: `1px solid ${ink.ruleSoft}`, py: 0.5 }}>
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'center', minHeight: 32 }}>
        <Box sx={{ flex: 1 }}>
          {student.name}
          {student.bench !== null && (
            <Box component="span" sx={{ color: ink.inkSoft, ml: 1, fontSize: 14 }}>
              bench {student.bench}
            </Box>
          )}
        </Box>
        {ready ? (
          <Box sx={{ color: ink.keep, display: 'flex', gap: 0.5, alignItems: 'center' }}>
            <CheckIcon sx={{ fontSize: 18 }} /> ready
          </Box>
        ) : (
          <span>
            {student.done} of {student.of}
          </span>
        )}
        {lets && !ready && (
          <Button size="small" onClick={() => onLetIn(!student.let_in)}>
            {student.let_in ? 'Let in: take back' : 'Let in'}
          </Button>
        )}
      </Box>
      {student.stuck.length > 0 && (
        <Box sx={{ color: ink.look, fontSize: 14 }}>Not right yet: {student.stuck.join(' · ')}</Box>
      )}
    </Box>
  );
}

/** Answers and reasons, question by question: what a class thinks is seen side by side. */
function InWords({ students }: { students: Student[] }) {
  const questions = [...new Set(students.flatMap((student) => student.words.map((word) => word.question)))];
  return questions.map((question) => (
    <Folded key={question} title={`What they wrote: ${question}`}>
      {students.map((student) =>
        student.words
          .filter((word) => word.question === question)
          .map((word) => (
            <Box key={student.id} sx={{ mb: 0.5 }}>
              <b>{student.name}:</b> “{word.text}”
            </Box>
          )),
      )}
    </Folded>
  ));
}
