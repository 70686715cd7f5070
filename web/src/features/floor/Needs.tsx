import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { type Shapes } from '../../api/client';
import { useWriteAt } from '../../api/hooks';
import { STATES } from '../../identity/Verdict';
import { ink } from '../../identity/tokens';
import { NeedCard, type Answering } from './NeedCard';
import { NotDone } from '../../identity/NotDone';

interface Words {
  key: string;
  text: string;
  trial?: number;
}

/** Who needs the instructor, the most urgent first. */
export function Needs({ floor, now }: { floor: Shapes['Floor']; now: number }) {
  const write = useWriteAt(floor.session.id);
  const [only, setOnly] = useState<Shapes['NeedLevelEnum'] | null>(null);
  const levels = [...new Set(floor.needs.map((need) => need.level))];
  const shown = floor.needs.filter((need) => only === null || !levels.includes(only) || need.level === only);
  const answering = (need: Shapes['Need']): Answering => {
    const say = (...wordss: Words[]) =>
      write.mutate({ bench: need.bench_id, said: [...wordss, { key: 'seen', text: need.id }] });
    const { trial } = need;
    const voidable = trial !== null && need.level === 'stop';
    return {
      busy: write.isPending,
      seen: () => say(),
      send: (text) => say({ key: 'message', text }),
      voidTrial: voidable ? () => say({ key: 'void', text: need.what, trial }) : undefined,
    };
  };
  return (
    <Box component="section" aria-label="Needs you now">
      <Box component="h2" sx={{ m: 0, mb: 1.5, fontSize: 19 }}>
        Needs you now
      </Box>
      <NotDone lead="Not sent." error={write.error} />
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
    </Box>
  );
}
