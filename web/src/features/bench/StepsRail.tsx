import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { Shapes } from '../../api/client';
import type { Draft } from '../../queue/outbox';
import { CheckIcon } from '../../identity/Icons';
import { ink } from '../../identity/tokens';
import { StepTimer } from './StepTimer';

type Step = Shapes['StepOut'];

interface Props {
  steps: Step[];
  progress: number;
  colour: string;
  pending: Draft[];
  onTimer: (step: Step) => void;
  onChoose: (step: Step) => void;
}

/** Steps hang on a graduated tube; the liquid in it stands at the step reached. */
export function StepsRail({ steps, progress, colour, pending, onTimer, onChoose }: Props) {
  const rows = gathered(steps);
  return (
    <Box
      component="nav"
      aria-label="Steps"
      sx={{ display: 'grid', gridTemplateColumns: '14px 1fr', gap: 1.5, minHeight: '100%' }}
    >
      <Box
        aria-hidden
        sx={{
          border: `1.5px solid ${ink.rule}`,
          borderRadius: 99,
          bgcolor: ink.sheet,
          position: 'relative',
          overflow: 'hidden',
          backgroundImage: `repeating-linear-gradient(to bottom, transparent 0 14px, ${ink.rule} 14px 15px)`,
          backgroundSize: '6px 100%',
          backgroundRepeat: 'no-repeat',
        }}
      >
        <Box
          sx={{
            position: 'absolute',
            inset: 0,
            bottom: 'auto',
            height: `${Math.max(progress * 100, 1)}%`,
            bgcolor: colour,
            opacity: 0.85,
            transition: 'height .5s',
          }}
        />
      </Box>
      <Box
        component="ol"
        sx={{ listStyle: 'none', m: 0, p: 0, display: 'grid', gap: 0.25, alignContent: 'start' }}
      >
        {rows.map((row) =>
          row.inside ? (
            <Box component="li" key={row.title} sx={{ display: 'grid', gap: 0.25 }}>
              <Box sx={{ fontWeight: 700, color: colour, fontSize: 14, mt: 0.75 }}>{row.title}</Box>
              {row.inside.map((step) => (
                <StepLine key={step.key} {...{ step, pending, onTimer, onChoose, colour }} />
              ))}
            </Box>
          ) : (
            <StepLine
              key={row.title}
              step={{ ...row.step, title: row.title }}
              {...{ pending, onTimer, onChoose, colour }}
            />
          ),
        )}
      </Box>
    </Box>
  );
}

interface Row {
  title: string;
  step: Step;
  inside?: Step[];
}

/** Trials that are over or still to come take one line; the one in hand is opened. */
function gathered(steps: Step[]): Row[] {
  const rows: Row[] = [];
  const seen = new Set<number>();
  for (const step of steps) {
    if (step.trial === null) rows.push({ title: step.title, step });
    else if (!seen.has(step.trial)) {
      seen.add(step.trial);
      const all = steps.filter((other) => other.trial === step.trial);
      const now = all.some((other) => other.state === 'now');
      const state = all.every((other) => other.state === 'done')
        ? 'done'
        : (all.find((o) => o.state === 'void')?.state ?? 'ahead');
      rows.push({ title: step.trial_name, step: { ...step, state }, ...(now ? { inside: all } : {}) });
    }
  }
  return rows;
}

interface LineProps {
  step: Step;
  colour: string;
  pending: Draft[];
  onTimer: (step: Step) => void;
  onChoose: (step: Step) => void;
}

function StepLine({ step, colour, pending, onTimer, onChoose }: LineProps) {
  const now = step.state === 'now';
  const tone = step.state === 'ahead' || now ? ink.ink : ink.inkSoft;
  const sent = pending.find((draft) => draft.key === `timer.${step.key}` && draft.trial === step.trial);
  const begun = sent ? Date.parse(sent.written_at) / 1000 : step.begun;
  return (
    <Box component="li" aria-current={now ? 'step' : undefined} sx={{ listStyle: 'none' }}>
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
      {now && step.detail && (
        <Box sx={{ fontSize: 13, color: ink.inkSoft, lineHeight: 1.35, mb: 0.5 }}>{step.detail}</Box>
      )}
      {now && step.wait_seconds > 0 && (
        <StepTimer step={step} begun={begun} colour={colour} onStart={() => onTimer(step)} />
      )}
      {now &&
        step.cautions.map((caution) => (
          <Box
            key={caution}
            sx={{ fontSize: 13, borderLeft: `3px solid ${ink.look}`, pl: 1, my: 0.5, lineHeight: 1.35 }}
          >
            {caution}
          </Box>
        ))}
    </Box>
  );
}
