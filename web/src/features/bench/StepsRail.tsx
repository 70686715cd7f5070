import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { Shapes } from '../../api/client';
import type { Draft } from '../../queue/store';
import { CheckIcon } from '../../identity/Icons';
import { asText, ink } from '../../identity/tokens';
import { useNow } from '../../time/useNow';
import { begun, isOf, type Task } from './hand';
import { StepTimer } from './StepTimer';

type Step = Shapes['StepOut'];

interface Props {
  steps: Step[];
  /** What is in hand: its timer stands there and not here. */
  task: Task;
  colour: string;
  pending: Draft[];
  onTimer: (step: Step) => void;
  onChoose: (step: Step) => void;
}

/** Steps hang on a graduated tube; the liquid in it stands at the step reached. */
export function StepsRail({ steps, task, colour, pending, onTimer, onChoose }: Props) {
  const rows = gathered(steps);
  const clock = useNow(5000);
  return (
    <Box component="nav" aria-label="Steps" sx={{ minHeight: '100%', display: 'flex' }}>
      <Box
        component="ol"
        sx={{ listStyle: 'none', m: 0, p: 0, flex: 1, display: 'flex', flexDirection: 'column' }}
      >
        {rows.map((row, place) => {
          const ends = { first: place === 0, last: place === rows.length - 1 };
          return row.step ? (
            <StepLine
              key={row.key}
              step={row.step}
              {...{ task, pending, onTimer, onChoose, colour, ends, clock }}
            />
          ) : (
            <Box
              component="li"
              key={row.key}
              sx={{
                ...segment('done', colour, ends),
                pt: 0.75,
                fontWeight: 700,
                color: asText(colour),
                fontSize: 14,
              }}
            >
              {row.title}
            </Box>
          );
        })}
      </Box>
    </Box>
  );
}

interface Ends {
  first: boolean;
  last: boolean;
}

const TOP = '12px 12px 0 0';
const BOTTOM = '0 0 12px 12px';

/** A row's piece of the tube: full behind us, to the mark at the step in hand, empty ahead. */
function segment(state: string, colour: string, { first, last }: Ends) {
  const level = state === 'now' ? '17px' : state === 'ahead' ? '0' : '100%';
  return {
    listStyle: 'none',
    position: 'relative',
    pl: 3.5,
    flex: last ? 1 : undefined,
    '&::before': {
      content: '""',
      position: 'absolute',
      left: 0,
      top: 0,
      bottom: 0,
      width: 13,
      border: `1.5px solid ${ink.rule}`,
      borderTopWidth: first ? 1.5 : 0,
      borderBottomWidth: last ? 1.5 : 0,
      borderRadius: first ? TOP : last ? BOTTOM : 0,
      background: `linear-gradient(to bottom, ${colour} ${level}, ${ink.sheet} ${level})`,
    },
    '&::after': {
      content: '""',
      position: 'absolute',
      left: 13,
      top: 16,
      width: 8,
      borderTop: `1.5px solid ${ink.rule}`,
    },
  } as const;
}

interface Row {
  key: string;
  /** The heading of the trial in hand, where there is no step of its own. */
  title: string;
  step?: Step;
}

/** Trials that are over or still to come take one line; the one in hand is opened. */
function gathered(steps: Step[]): Row[] {
  const rows: Row[] = [];
  const seen = new Set<number>();
  for (const step of steps) {
    if (step.trial === null) rows.push({ key: `${step.key}.${step.turn}`, title: step.title, step });
    else if (!seen.has(step.trial)) {
      seen.add(step.trial);
      rows.push(...ofTrial(steps.filter((other) => other.trial === step.trial)));
    }
  }
  return rows;
}

function ofTrial(steps: Step[]): Row[] {
  const [first] = steps;
  if (!first) return [];
  const key = `trial${first.trial}`;
  if (steps.some((step) => step.state === 'now'))
    return [
      { key, title: first.trial_name },
      ...steps.map((step) => ({ key: `${key}.${step.key}.${step.turn}`, title: step.title, step })),
    ];
  const state = steps.every((step) => step.state === 'done')
    ? 'done'
    : (steps.find((step) => step.state === 'void')?.state ?? 'ahead');
  const timed = steps.findLast((step) => step.begun !== null) ?? first;
  return [{ key, title: first.trial_name, step: { ...timed, title: first.trial_name, state } }];
}

// A timer that has run out stays in sight for two minutes.
const LINGERS = 120;

interface LineProps {
  step: Step;
  task: Task;
  colour: string;
  pending: Draft[];
  ends: Ends;
  /** The time now, in milliseconds of the epoch. */
  clock: number;
  onTimer: (step: Step) => void;
  onChoose: (step: Step) => void;
}

function StepLine({ step, task, colour, pending, ends, clock, onTimer, onChoose }: LineProps) {
  const now = step.state === 'now';
  const tone = step.state === 'ahead' || now ? ink.ink : ink.inkSoft;
  const started = begun(step, pending);
  const elsewhere = !isOf(step, task);
  const running = elsewhere && started !== null && started + step.wait_seconds + LINGERS > clock / 1000;
  return (
    <Box component="li" aria-current={now ? 'step' : undefined} sx={segment(step.state, colour, ends)}>
      <Button
        onClick={() => onChoose(step)}
        sx={{
          p: 0,
          minHeight: 32,
          minWidth: 0,
          justifyContent: 'flex-start',
          textAlign: 'left',
          color: tone,
          fontWeight: now ? 700 : 400,
          fontSize: now ? 15.5 : 14,
          gap: 0.5,
          lineHeight: 1.25,
          textDecoration: step.state === 'void' ? 'line-through' : 'none',
        }}
      >
        {step.state === 'done' && <CheckIcon sx={{ fontSize: 16, color: ink.keep }} />}
        {step.title}
        {step.state === 'void' && ' (void)'}
      </Button>
      {now && step.detail && step.detail !== task.detail && (
        <Box sx={{ fontSize: 13, color: ink.inkSoft, lineHeight: 1.35, mb: 0.5 }}>{step.detail}</Box>
      )}
      {running && <StepTimer step={step} begun={started} colour={colour} onStart={() => onTimer(step)} />}
    </Box>
  );
}
