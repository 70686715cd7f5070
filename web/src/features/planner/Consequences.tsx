import Box from '@mui/material/Box';
import type { Shapes } from '../../api/client';
import { sentence } from '../../api/client';
import { Lanes } from '../../charts/Lanes';
import { BudgetBars } from '../../identity/BudgetBars';
import { Folded } from '../../identity/Folded';
import { Pairs } from '../../identity/Pairs';
import { Sheet } from '../../identity/Sheet';
import { FIGURES, ink } from '../../identity/tokens';
import { VerdictLine } from '../../identity/Verdict';
import { Needed } from './Needed';

interface Props {
  prediction: Shapes['Prediction'] | undefined;
  error: unknown;
  colour: string;
  benches: number;
  /** How long the session is. */
  minutes: number;
  instruments: string[];
}

/** What the choices lead to, as they are made. */
export function Consequences({ benches, instruments, ...seen }: Props) {
  const { prediction } = seen;
  return (
    <Box sx={{ display: 'grid', gap: 2, alignContent: 'start' }}>
      <Expected {...seen} />
      {prediction && <Needed needed={prediction.supplies} benches={benches} />}
      {prediction && (
        <Sheet title="At each bench" note={benches > 0 ? `× ${benches}` : ''}>
          {instruments.map((name) => (
            <Box key={name}>{name}</Box>
          ))}
          <Box sx={{ mt: 1, color: ink.inkSoft, fontSize: 14 }}>
            Reads:{' '}
            {prediction.parts
              .filter((part) => part.kind !== 'observation' && !part.optional)
              .map((part) => part.label.toLowerCase())
              .join(' · ')}
          </Box>
        </Sheet>
      )}
    </Box>
  );
}

/** How sure it will be and what limits it; who is where, when. */
export function Expected({ prediction, error, colour, minutes }: Omit<Props, 'benches' | 'instruments'>) {
  return (
    <>
      {error ? (
        <VerdictLine level="look" lead="This does not go together yet.">
          {sentence(error)}
        </VerdictLine>
      ) : (
        prediction?.warnings.map((warning) => (
          <VerdictLine key={warning} level="look" lead="Look again.">
            {warning}
          </VerdictLine>
        ))
      )}
      {prediction?.relative && (
        <Sheet title="What to expect">
          <Box sx={{ borderLeft: `6px solid ${colour}`, pl: 1.5, mb: 1.5 }}>
            <Box sx={{ fontSize: 13, fontWeight: 700, color: ink.inkSoft }}>{prediction.result}</Box>
            <Box sx={{ fontFamily: FIGURES, fontSize: 28, fontWeight: 700 }}>{prediction.relative}</Box>
            <Box sx={{ fontSize: 13, color: ink.inkSoft }}>
              95 %, before any reading is made. {prediction.basis}
            </Box>
          </Box>
          <Box sx={{ fontSize: 13, fontWeight: 700, color: ink.inkSoft, mb: 1 }}>What will limit it</Box>
          <BudgetBars lines={prediction.budget} colour={colour} />
          <Box sx={{ mt: 1, color: ink.inkSoft, fontSize: 14 }}>{prediction.advice}</Box>
          <Box sx={{ mt: 1 }}>{prediction.improvement}</Box>
          <Folded title="Other choices, one at a time">
            <Pairs rows={prediction.alternatives.map((one) => [`${one.what}: ${one.instead}`, one.text])} />
          </Folded>
        </Sheet>
      )}
      {prediction?.timetables.map((one) => (
        <Sheet key={one.label} title="Who is where, when" note={one.label}>
          {one.minutes > minutes && (
            <VerdictLine level="look" lead="Too long.">
              The turns alone take {one.minutes} minutes; the session has {minutes}.
            </VerdictLine>
          )}
          <Lanes timetable={one} colour={colour} />
        </Sheet>
      ))}
    </>
  );
}
