import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import useMediaQuery from '@mui/material/useMediaQuery';
import { useLayoutEffect, useRef, useState, type KeyboardEvent } from 'react';
import type { Shapes } from '../../api/client';
import { Drawn } from '../../instruments/Drawn';
import { FIGURES, ink } from '../../identity/tokens';
import { VerdictLine } from '../../identity/Verdict';
import type { Draft } from '../../queue/store';
import { partOf, standing, toolOf, type Bench, type Task } from './hand';
import { Entry } from './Entry';
import { Keypad } from './Keypad';
import { Reason } from './Reason';
import { Stopwatch } from './Stopwatch';
import { useStrayDigits } from './useStrayDigits';
import { useTry } from './useTry';

interface Props {
  bench: Bench;
  task: Task;
  colour: string;
  online: boolean;
  pending: Draft[];
  onKeep: (text: string, correction: { supersedes: string; reason: string } | null) => void;
  onLetter: (letter: string) => boolean;
}

/** The reading in hand: what to read, the entry field, its verdict in one line, the drawn instrument. */
export function ReadingInHand({ bench, task, colour, online, pending, onKeep, onLetter }: Props) {
  const [text, setText] = useState('');
  const [reason, setReason] = useState('');
  const field = useRef<HTMLInputElement>(null);
  const narrow = useMediaQuery('(max-width: 599px)');
  // Before the browser paints: who types on at once must not lose a digit.
  useLayoutEffect(() => field.current?.focus({ preventScroll: true }), []);
  useStrayDigits((digit) => {
    setText((now) => now + digit);
    field.current?.focus({ preventScroll: true });
  });
  const tool = toolOf(bench, task.key);
  const unit = tool ? (partOf(bench, task.key)?.unit ?? '') : unitWithoutTool(bench, task);
  const before = standing(bench, task);
  const verdict = useTry(bench, task, text, pending);
  const ready =
    text.trim() !== '' && !verdict?.refused && (!before || task.kind === 'own' || reason.trim() !== '');

  const keep = () => {
    if (!ready) return;
    onKeep(text.trim(), before && task.kind !== 'own' ? { supersedes: before.id, reason } : null);
  };
  const type = (key: string) => setText((now) => now + key);
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.key === 'Enter') {
      event.preventDefault();
      keep();
    } else if (text === '' && event.key.length === 1 && onLetter(event.key)) event.preventDefault();
  };

  return (
    <Box
      sx={{
        display: 'grid',
        gap: { xs: 1.5, md: 3 },
        gridTemplateColumns: { xs: 'minmax(0,1fr) 92px', sm: 'minmax(0, 1fr) minmax(180px, 230px)' },
        alignItems: 'start',
      }}
    >
      <Box sx={{ display: 'grid', gap: 1.5, gridColumn: { xs: '1 / -1', sm: 1 }, gridRow: 1 }}>
        <Box sx={{ color: ink.inkSoft, minHeight: { sm: 63 } }}>{task.detail}</Box>
        {before && task.kind !== 'own' && (
          <Box>
            Written there now: <s style={{ fontFamily: FIGURES }}>{before.text}</s>. The old value stays
            readable.
          </Box>
        )}
        <Box
          onClick={() => field.current?.focus()}
          sx={{
            display: 'flex',
            cursor: 'text',
            alignItems: 'baseline',
            gap: 1,
            px: 2,
            py: 0.5,
            bgcolor: ink.sheet,
            borderRadius: 2.5,
            border: `2px solid ${colour}`,
            minHeight: 84,
            '&:focus-within': { boxShadow: `0 0 0 3px ${ink.liquid}` },
          }}
        >
          <Entry
            field={field}
            text={text}
            colour={colour}
            label={`${task.title}${unit ? `, in ${unit}` : ''}`}
            onChange={setText}
            onKeyDown={onKeyDown}
          />
          <Box component="span" sx={{ fontSize: 24, color: ink.inkSoft }}>
            {unit}
          </Box>
        </Box>
        {tool?.kind === 'stopwatch' && (
          <Stopwatch
            place={`stopwatch/${bench.id}/${task.key}/${task.trial}/${task.index}`}
            decimals={tool.decimals}
            colour={colour}
            onStop={setText}
          />
        )}
        {tool && !text && <Expected decimals={tool.decimals} unit={unit} />}
        {text && verdict && (
          <VerdictLine level={verdict.level} lead={verdict.lead} steady>
            {verdict.text}
            {verdict.suggest && (
              <Button size="small" variant="outlined" sx={{ ml: 1 }} onClick={() => setText(verdict.suggest)}>
                Write {verdict.suggest}
              </Button>
            )}
          </VerdictLine>
        )}
        {text && !online && (
          <VerdictLine level="look" lead="No network.">
            Keep it: it stays on this device and is checked when the network is back.
          </VerdictLine>
        )}
        {before && task.kind !== 'own' && <Reason value={reason} onChange={setReason} />}
      </Box>
      <Box sx={{ gridColumn: 1, gridRow: 2 }}>
        <Keypad
          onKey={type}
          onErase={() => setText((now) => now.slice(0, -1))}
          onKeep={keep}
          keepLabel={before && task.kind !== 'own' ? 'Keep correction' : 'Keep reading'}
          disabled={!ready}
          sign={signOf(task, tool)}
        />
      </Box>
      <Box sx={{ gridColumn: 2, gridRow: { xs: 2, sm: '1 / span 2' } }}>
        {tool && <Drawn tool={tool} text={text} colour={colour} narrow={narrow} />}
      </Box>
    </Box>
  );
}

/** The sign that such a number may have. */
const signOf = (task: Task, tool: Shapes['Instrument'] | undefined) =>
  task.kind === 'bottle' ? '±' : task.kind === 'own' || Number(tool?.low ?? 0) < 0 ? '-' : undefined;

/** The unit of an own answer, or of what stands on a bottle. */
const unitWithoutTool = (bench: Bench, task: Task) =>
  bench.evaluation.results.find((result) => task.kind === 'own' && result.key === task.name)?.unit ??
  bench.evaluation.bench.find((one) => one.key === task.key)?.shown.unit ??
  '';

function Expected({ decimals, unit }: { decimals: number; unit: string }) {
  return (
    <Box sx={{ color: ink.inkSoft, fontSize: 14, minHeight: 62 }}>
      {decimals === 0 ? 'No decimals' : decimals === 1 ? 'One decimal' : `${decimals} decimals`}
      {unit && `, in ${unit}`}.{decimals > 0 && ' A zero at the end counts: write it.'}
    </Box>
  );
}
