import Box from '@mui/material/Box';
import useMediaQuery from '@mui/material/useMediaQuery';
import { useState } from 'react';
import { useParams } from 'react-router';
import type { Shapes } from '../../api/client';
import { useFloor } from '../../api/hooks';
import { ClassPlot } from '../../charts/ClassPlot';
import { Loaded } from '../../identity/Page';
import { Sheet } from '../../identity/Sheet';
import { Parts } from '../../identity/Parts';
import { accent, ink } from '../../identity/tokens';
import { useNow } from '../../time/useNow';
import { Arrange } from './Arrange';
import { Behind } from './Behind';
import { Board } from './Board';
import { Counts } from './Counts';
import { FloorHeading } from './FloorHeading';
import { LiveTurns } from './LiveTurns';
import { Needs } from './Needs';
import { PhoneRow } from './PhoneRow';
import { RoomGrid } from './RoomGrid';
import { Slips } from './Slips';
import { ToAll } from './ToAll';
import { useGoesOn } from './useGoesOn';

/** The room as it is now, and who needs the instructor. */
export function FloorPage() {
  const id = Number(useParams().session);
  const [projector, setProjector] = useState(false);
  const floor = useFloor(id, projector);
  useGoesOn(floor.data);
  const phone = useMediaQuery('(max-width: 699px)');
  const View = phone ? OnThePhone : OnTheDesk;
  return (
    <Loaded of={floor}>
      {(data) => (
        <>
          <Behind since={floor.dataUpdatedAt} error={floor.error} />
          <View floor={data} projector={projector} onProjector={() => setProjector(!projector)} />
        </>
      )}
    </Loaded>
  );
}

interface Props {
  floor: Shapes['Floor'];
  projector: boolean;
  onProjector: () => void;
}

function OnTheDesk({ floor, projector, onProjector }: Props) {
  const now = useNow(1000);
  const [arranging, setArranging] = useState(false);
  return (
    <Box sx={{ display: 'grid', gridTemplateRows: 'auto 1fr', flex: 1 }}>
      <FloorHeading {...{ floor, now, projector, onProjector }} />
      <Box
        component="main"
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: '1fr', md: projector ? '1fr' : 'minmax(0, 1fr) 356px' },
          minHeight: 0,
        }}
      >
        <Box sx={{ p: 2 }}>
          <Counts benches={floor.benches} onArrange={projector ? undefined : () => setArranging(true)} />
          {arranging && <Arrange floor={floor} onDone={() => setArranging(false)} />}
          <RoomGrid floor={floor} now={now} large={projector} />
          <LiveTurns floor={floor} />
          <TheClass floor={floor} />
        </Box>
        {!projector && (
          <Box
            component="aside"
            aria-label="For the staff"
            sx={{ bgcolor: ink.sheet, borderLeft: `1px solid ${ink.ruleSoft}`, p: 2 }}
          >
            <Needs floor={floor} now={now} />
            <Slips floor={floor} />
            <Word floor={floor} />
          </Box>
        )}
      </Box>
    </Box>
  );
}

/** Walking about: who needs somebody, the benches one under the other, what is said to all; one at a time. */
function OnThePhone({ floor, projector, onProjector }: Props) {
  const now = useNow(1000);
  const [part, setPart] = useState<'needs' | 'room' | 'all'>('needs');
  const { benches, needs } = floor;
  return (
    <Box sx={{ display: 'flex', flexDirection: 'column', flex: 1 }}>
      <FloorHeading {...{ floor, now, projector, onProjector }} />
      <Box component="main" sx={{ flex: 1, p: 1.5, bgcolor: ink.ground }}>
        {part === 'needs' && (
          <>
            <Needs floor={floor} now={now} />
            <Slips floor={floor} />
          </>
        )}
        {part === 'room' && (
          <>
            <Counts benches={benches} onArrange={undefined} />
            <PhoneRows floor={floor} />
            <LiveTurns floor={floor} />
            <TheClass floor={floor} />
          </>
        )}
        {part === 'all' && <Word floor={floor} />}
      </Box>
      <Parts
        label="Parts of the floor"
        parts={[
          ['needs', `Needs you${needs.length > 0 ? ` ${needs.length}` : ''}`],
          ['room', 'Room'],
          ['all', 'To all'],
        ]}
        chosen={part}
        onChoose={setPart}
      />
    </Box>
  );
}

function TheClass({ floor }: { floor: Shapes['Floor'] }) {
  const { class_comparison: comparison, class_plot: plot, session } = floor;
  if (!comparison || !plot) return null;
  const { label, unit, sentence } = comparison;
  return (
    <Box sx={{ mt: 2 }}>
      <Sheet title={`${label}${unit && `, ${unit}`}: the class`}>
        <Box sx={{ color: ink.inkSoft, fontSize: 14 }}>{sentence}</Box>
        <ClassPlot plot={plot} sentence={sentence} colour={accent(session.family)} />
      </Sheet>
    </Box>
  );
}

/** What is said or written once for everybody. */
function Word({ floor }: { floor: Shapes['Floor'] }) {
  return (
    <>
      {floor.session.state === 'open' && <ToAll floor={floor} />}
      <Board floor={floor} />
    </>
  );
}

function PhoneRows({ floor }: { floor: Shapes['Floor'] }) {
  const closed = floor.session.state === 'closed';
  return (
    <Box sx={{ display: 'grid', gap: 0.75, mb: 2 }}>
      {floor.benches.map((bench) => (
        <PhoneRow key={bench.id} bench={bench} unit={floor.unit} closed={closed} />
      ))}
    </Box>
  );
}
