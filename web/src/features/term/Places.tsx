import {
  DndContext,
  DragOverlay,
  MouseSensor,
  TouchSensor,
  useDraggable,
  useDroppable,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { useState } from 'react';
import type { Shapes } from '../../api/client';
import { dotted } from '../../identity/dotted';
import { ink } from '../../identity/tokens';

type Student = Shapes['StudentPlace'];

/** Where somebody can be put: a bench, no bench, or absent. */
interface Place {
  name: string;
  bench: number | null;
  absent: boolean;
}

interface Props {
  benches: Shapes['BenchPlace'][];
  students: Student[];
  fixed: boolean;
  onPut: (person: number, place: Pick<Place, 'bench' | 'absent'>) => void;
}

const placesAt = (benches: Props['benches']): Place[] => [
  ...benches.map(({ number }) => ({ name: `Bench ${number}`, bench: number, absent: false })),
  { name: 'No bench', bench: null, absent: false },
  { name: 'Absent', bench: null, absent: true },
];

/** A drag begins once the mouse has moved a little, or the finger has stayed: a click and a scroll are none. */
const useMouseAndTouch = () =>
  useSensors(
    useSensor(MouseSensor, { activationConstraint: { distance: 6 } }),
    useSensor(TouchSensor, { activationConstraint: { delay: 200, tolerance: 8 } }),
  );

/** People at their benches: dragged there, or by keys from a menu on each name. */
export function Places({ benches, students, fixed, onPut }: Props) {
  const [dragged, setDragged] = useState<Student | null>(null);
  const sensors = useMouseAndTouch();
  const places = placesAt(benches);
  const put = (student: Student, { bench, absent }: Place) => {
    if (student.bench !== bench || student.absent !== absent) onPut(student.id, { bench, absent });
  };
  if (students.length === 0) return null;
  return (
    <DndContext
      sensors={sensors}
      accessibility={{ screenReaderInstructions: { draggable: 'Press Enter to choose a place.' } }}
      onDragStart={({ active }) => setDragged(students.find((student) => student.id === active.id) ?? null)}
      onDragCancel={() => setDragged(null)}
      onDragEnd={({ over }) => {
        const place = places.find((place) => place.name === over?.id);
        if (dragged && place) put(dragged, place);
        setDragged(null);
      }}
    >
      <Box sx={{ display: 'grid', gap: 1, gridTemplateColumns: 'repeat(auto-fill, minmax(165px, 1fr))' }}>
        {places.map((place) => (
          <Spot
            key={place.name}
            place={place}
            sample={benches.find((bench) => bench.number === place.bench)?.sample ?? ''}
            people={students.filter(
              (student) => student.bench === place.bench && student.absent === place.absent,
            )}
            {...{ places, fixed, put }}
          />
        ))}
      </Box>
      <DragOverlay>{dragged && <Named>{dragged.name}</Named>}</DragOverlay>
    </DndContext>
  );
}

interface SpotProps {
  place: Place;
  sample: string;
  people: Student[];
  places: Place[];
  fixed: boolean;
  put: (student: Student, place: Place) => void;
}

function Spot({ place, sample, people, places, fixed, put }: SpotProps) {
  const { setNodeRef, isOver } = useDroppable({ id: place.name, disabled: fixed });
  return (
    <Box
      ref={setNodeRef}
      role="group"
      aria-label={place.name}
      sx={{
        border: `1px ${place.bench === null ? 'dashed' : 'solid'} ${isOver ? ink.link : ink.rule}`,
        bgcolor: isOver ? ink.liquid : ink.sheet,
        borderRadius: 2,
        p: 1,
        minHeight: 76,
      }}
    >
      <Box sx={{ fontSize: 13, color: ink.inkSoft, mb: 0.5 }}>{dotted(place.name, sample)}</Box>
      <Box sx={{ display: 'grid', gap: 0.5 }}>
        {people.map((person) => (
          <Who
            key={person.id}
            student={person}
            fixed={fixed}
            places={places}
            onPut={(to) => put(person, to)}
          />
        ))}
      </Box>
    </Box>
  );
}

interface WhoProps {
  student: Student;
  places: Place[];
  fixed: boolean;
  onPut: (place: Place) => void;
}

function Who({ student, places, fixed, onPut }: WhoProps) {
  const { setNodeRef, listeners, attributes, isDragging } = useDraggable({ id: student.id, disabled: fixed });
  const [menu, setMenu] = useState<HTMLElement | null>(null);
  if (fixed) return <Named>{student.name}</Named>;
  return (
    <>
      <Button
        ref={setNodeRef}
        {...listeners}
        aria-describedby={attributes['aria-describedby']}
        aria-haspopup="menu"
        aria-label={`Move ${student.name}`}
        onClick={(event) => setMenu(event.currentTarget)}
        sx={{ p: 0, minHeight: 30, justifyContent: 'stretch', opacity: isDragging ? 0.4 : 1 }}
      >
        <Named>{student.name}</Named>
      </Button>
      <Menu anchorEl={menu} open={menu !== null} onClose={() => setMenu(null)}>
        {places.map((place) => (
          <MenuItem
            key={place.name}
            selected={place.bench === student.bench && place.absent === student.absent}
            onClick={() => {
              setMenu(null);
              onPut(place);
            }}
          >
            {place.name}
          </MenuItem>
        ))}
      </Menu>
    </>
  );
}

function Named({ children }: { children: string }) {
  return (
    <Box
      component="span"
      sx={{
        flex: 1,
        textAlign: 'left',
        color: ink.ink,
        fontSize: 14.5,
        fontWeight: 400,
        lineHeight: 1.25,
        border: `1px solid ${ink.ruleSoft}`,
        borderRadius: 1.5,
        bgcolor: ink.ground,
        px: 1,
        py: 0.5,
        overflowWrap: 'anywhere',
      }}
    >
      {children}
    </Box>
  );
}
