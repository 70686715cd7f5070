import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { useParams } from 'react-router';
import { sentence, type Shapes } from '../../api/client';
import { useFloor, useMe, useMinutes, useSessionState, useWriteAt } from '../../api/hooks';
import { Loaded } from '../../identity/Page';
import { dotted } from '../../identity/dotted';
import { clock, day } from '../../identity/time';
import { accent, FIGURES, ink } from '../../identity/tokens';
import { useNow } from '../../identity/useNow';
import { CallTag, StateTag, STATES, VerdictLine } from '../../identity/Verdict';
import { Arrange } from './Arrange';
import { Board } from './Board';
import { ClassDots } from './ClassDots';
import { ToAll } from './ToAll';
import { NeedCard, type Answering } from './NeedCard';
import { RoomGrid } from './RoomGrid';

/** The room as it is now, and who needs the instructor. */
export function FloorPage() {
  const id = Number(useParams().session);
  const [projector, setProjector] = useState(false);
  const floor = useFloor(id, projector);
  return (
    <Loaded of={floor}>
      {(data) => <Room floor={data} projector={projector} onProjector={() => setProjector(!projector)} />}
    </Loaded>
  );
}

interface Props {
  floor: Shapes['Floor'];
  projector: boolean;
  onProjector: () => void;
}

function Room({ floor, projector, onProjector }: Props) {
  const now = useNow(1000);
  const { session, benches } = floor;
  const colour = accent(session.family);
  const [arranging, setArranging] = useState(false);
  return (
    <Box sx={{ display: 'grid', gridTemplateRows: 'auto 1fr', flex: 1 }}>
      <Heading {...{ floor, now, projector, onProjector }} />
      <Box
        component="main"
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: '1fr', md: projector ? '1fr' : 'minmax(0, 1fr) 356px' },
          minHeight: 0,
        }}
      >
        <Box sx={{ p: 2 }}>
          <Counts benches={benches} onArrange={projector ? undefined : () => setArranging(true)} />
          {arranging && <Arrange floor={floor} onDone={() => setArranging(false)} />}
          <RoomGrid floor={floor} now={now} large={projector} />
          {floor.class_comparison && <ClassDots comparison={floor.class_comparison} colour={colour} />}
        </Box>
        {!projector && <Needs floor={floor} now={now} />}
      </Box>
    </Box>
  );
}

function Heading({ floor, now, projector, onProjector }: Props & { now: number }) {
  const { session } = floor;
  const me = useMe();
  const change = useSessionState(session.id);
  const mine = me.data?.role === 'instructor';
  return (
    <Box
      sx={{
        display: 'flex',
        alignItems: 'center',
        gap: 2,
        px: 2.5,
        py: 1,
        bgcolor: ink.sheet,
        borderBottom: `1px solid ${ink.ruleSoft}`,
        borderLeft: `6px solid ${accent(session.family)}`,
        flexWrap: 'wrap',
      }}
    >
      <Box sx={{ flex: 1, minWidth: 260 }}>
        <Box component="h1" sx={{ m: 0, fontSize: 20 }}>
          {session.title}
        </Box>
        <Box sx={{ color: ink.inkSoft, fontSize: 13.5 }}>
          {dotted(session.section, session.room, floor.result_label)}
        </Box>
      </Box>
      {session.state === 'open' && <Box sx={{ color: ink.inkSoft }}>{timeLeft(session, now)}</Box>}
      {session.state === 'closed' && (
        <Box sx={{ color: ink.inkSoft }}>closed{session.released ? ', results released' : ''}</Box>
      )}
      <Box sx={{ fontFamily: FIGURES, fontSize: 20 }}>{clock(now)}</Box>
      <Button variant={projector ? 'contained' : 'outlined'} aria-pressed={projector} onClick={onProjector}>
        Projector
      </Button>
      {mine && !session.released && session.state === 'closed' && (
        <Button variant="outlined" disabled={change.isPending} onClick={() => change.mutate('release')}>
          Release results
        </Button>
      )}
      {mine && session.released && (
        <Button variant="outlined" disabled={change.isPending} onClick={() => change.mutate('take_back')}>
          Take the release back
        </Button>
      )}
      {mine && session.state === 'open' && <Longer session={session} />}
      {mine && session.state === 'closed' && !session.released && (
        <Button disabled={change.isPending} onClick={() => change.mutate('reopen')}>
          Open it again
        </Button>
      )}
      {mine && session.state === 'open' && (
        <CloseSession busy={change.isPending} onClose={() => change.mutate('close')} />
      )}
      {change.error && (
        <VerdictLine level="look" lead="Not done.">
          {sentence(change.error)}
        </VerdictLine>
      )}
    </Box>
  );
}

/** A quarter of an hour more, where the room has it. */
function Longer({ session }: { session: Shapes['SessionCard'] }) {
  const minutes = useMinutes(session.id);
  return (
    <Button
      title="15 minutes more"
      disabled={minutes.isPending || session.minutes > 585}
      onClick={() => minutes.mutate(session.minutes + 15)}
    >
      +15 min
    </Button>
  );
}

/** “36 min left”, “4 min over”, or when it was meant to start. */
function timeLeft({ starts_at, minutes }: Shapes['SessionCard'], now: number): string {
  const starts = Date.parse(starts_at);
  if (now < starts) return `planned for ${day(starts_at)}`;
  const left = Math.round((starts + minutes * 60000 - now) / 60000);
  return left >= 0 ? `${left} min left` : `${-left} min over`;
}

/** Closing ends all writing, so it is asked twice. */
function CloseSession({ busy, onClose }: { busy: boolean; onClose: () => void }) {
  const [sure, setSure] = useState(false);
  if (!sure)
    return (
      <Button variant="outlined" onClick={() => setSure(true)}>
        Close session
      </Button>
    );
  return (
    <>
      <Button variant="contained" disabled={busy} onClick={onClose}>
        Close: no more readings
      </Button>
      <Button onClick={() => setSure(false)}>Go on</Button>
    </>
  );
}

const COUNTED = [
  ['stop', 'stop'],
  ['repeat', 'repeat'],
  ['look', 'look again'],
  ['keep', 'going well'],
] as const;

interface CountsProps {
  benches: Shapes['FloorBench'][];
  onArrange: (() => void) | undefined;
}

function Counts({ benches, onArrange }: CountsProps) {
  const calls = benches.filter((bench) => bench.call).length;
  return (
    <Box
      sx={{
        display: 'flex',
        alignItems: 'center',
        gap: 1,
        mb: 1.5,
        color: ink.inkSoft,
        fontSize: 14,
        flexWrap: 'wrap',
      }}
    >
      Front of the room
      {onArrange && (
        <Button size="small" onClick={onArrange}>
          Arrange
        </Button>
      )}
      <Box aria-hidden sx={{ flex: 1, height: '1px', bgcolor: ink.rule, minWidth: 20 }} />
      {calls > 0 && <CallTag word={`${calls} call${calls > 1 ? 's' : ''}`} />}
      {COUNTED.map(([level, word]) => {
        const count = benches.filter((bench) => bench.level === level && !bench.call).length;
        return count > 0 && <StateTag key={level} level={level} word={`${count} ${word}`} />;
      })}
    </Box>
  );
}

interface Words {
  key: string;
  text: string;
  trial?: number;
}

function Needs({ floor, now }: { floor: Shapes['Floor']; now: number }) {
  const write = useWriteAt(floor.session.id);
  const [only, setOnly] = useState<Shapes['NeedLevelEnum'] | null>(null);
  const levels = [...new Set(floor.needs.map((need) => need.level))];
  const shown = floor.needs.filter((need) => only === null || !levels.includes(only) || need.level === only);
  const answering = (need: Shapes['Need']): Answering => {
    const say = (...said: Words[]) =>
      write.mutate({ bench: need.bench_id, said: [...said, { key: 'seen', text: need.id }] });
    const { trial } = need;
    const voidable = trial !== null && need.level === 'stop';
    return {
      busy: write.isPending,
      seen: () => say(),
      send: (text) => say({ key: 'message', text }),
      voidTrial: voidable
        ? () => say({ key: 'void', text: need.title.replace(/^Bench \d+ · /, ''), trial })
        : undefined,
    };
  };
  return (
    <Box
      component="aside"
      aria-label="Needs you now"
      sx={{ bgcolor: ink.sheet, borderLeft: `1px solid ${ink.ruleSoft}`, p: 2 }}
    >
      <Box component="h2" sx={{ m: 0, mb: 1.5, fontSize: 19 }}>
        Needs you now
      </Box>
      {write.error && (
        <VerdictLine level="look" lead="Not sent.">
          {sentence(write.error)}
        </VerdictLine>
      )}
      {levels.length > 1 && (
        <Box role="group" aria-label="Show only" sx={{ display: 'flex', gap: 0.5, flexWrap: 'wrap', mb: 1 }}>
          {levels.map((level) => (
            <Button
              key={level}
              size="small"
              variant={only === level ? 'contained' : 'outlined'}
              aria-pressed={only === level}
              onClick={() => setOnly(only === level ? null : level)}
            >
              {level === 'call' ? 'Calls' : STATES[level].word}
            </Button>
          ))}
        </Box>
      )}
      <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0, display: 'grid', gap: 1.25 }}>
        {shown.map((need) => (
          <NeedCard key={`${need.bench}/${need.id}`} need={need} now={now} answering={answering(need)} />
        ))}
      </Box>
      {floor.needs.length === 0 && (
        <Box sx={{ color: ink.inkSoft }}>
          {floor.session.state === 'open' ? 'Nobody. Walk round and look.' : 'The session is closed.'}
        </Box>
      )}
      {floor.session.state === 'open' && <ToAll floor={floor} />}
      <Board floor={floor} />
    </Box>
  );
}
