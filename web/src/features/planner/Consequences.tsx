import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { Shapes } from '../../api/client';
import { Lanes } from '../../charts/Lanes';
import { BudgetBars } from '../../results/BudgetBars';
import { Folded } from '../../identity/Folded';
import { NotDone } from '../../identity/NotDone';
import { Pairs } from '../../identity/Pairs';
import { Sheet } from '../../identity/Sheet';
import { FIGURES, ink } from '../../identity/tokens';
import { VerdictLine } from '../../identity/Verdict';
import { Needed } from './Needed';
import type { Chosen } from './usePlanner';

interface Props {
  prediction: Shapes['Prediction'] | undefined;
  foresight?: Shapes['Foreseen'] | undefined;
  /** Takes a change of the plan over; nothing is offered where none can be made. */
  onChoose?: (chosen: Chosen) => void;
  error: unknown;
  colour: string;
  benches: number;
  /** How long the session is. */
  minutes: number;
  instruments: string[];
}

type Seen = Pick<Props, 'prediction' | 'foresight' | 'onChoose' | 'error' | 'colour'>;

/** What the choices lead to, as they are made. */
export function Consequences({ benches, instruments, minutes, ...seen }: Props) {
  const { prediction } = seen;
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr)', gap: 2, alignContent: 'start' }}>
      <Expected {...seen} />
      <TurnsAtOnce {...seen} minutes={minutes} />
      {prediction && (
        <Needed needed={prediction.supplies} benches={benches} recipes={seen.foresight?.recipes ?? []} />
      )}
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
export function Expected({ prediction, foresight, onChoose, error, colour }: Seen) {
  return (
    <>
      {error ? (
        <NotDone lead="This does not go together yet." error={error} />
      ) : (
        prediction?.warnings.map((warning) => (
          <VerdictLine key={warning} level="look" lead="Look again.">
            {warning}
          </VerdictLine>
        ))
      )}
      {prediction?.off_range.map((miss) => (
        <VerdictLine key={miss.text} level="look" lead="Will not come out well.">
          {miss.text}
          {miss.cures.map((cure) => (
            <Offer key={cure.text} text={cure.text} onTake={onChoose && (() => onChoose(cure))} />
          ))}
        </VerdictLine>
      ))}
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
          {foresight && <HelpsMost {...{ foresight, onChoose }} />}
        </Sheet>
      )}
    </>
  );
}

/** Turns as they come at once; where they do not fit, what to change. */
function TurnsAtOnce({ prediction, onChoose, colour, minutes }: Seen & Pick<Props, 'minutes'>) {
  return prediction?.timetables.map((timetable) => (
    <Sheet key={timetable.label} title="Who is where, when" note={timetable.label}>
      {timetable.minutes > minutes && (
        <VerdictLine level="look" lead="Too long.">
          The turns alone take {timetable.minutes} minutes; the session has {minutes}.
          {prediction.cures.map((cure) => (
            <Offer key={cure.text} text={cure.text} onTake={onChoose && (() => onChoose(cure))} />
          ))}
        </VerdictLine>
      )}
      <Lanes timetable={timetable} colour={colour} />
    </Sheet>
  ));
}

/** What would help most for what it costs, each in one touch; the rest folded. */
function HelpsMost({ foresight, onChoose }: { foresight: Shapes['Foreseen']; onChoose: Seen['onChoose'] }) {
  const shown = foresight.improvement.startsWith('What') ? foresight.alternatives.slice(0, 3) : [];
  return (
    <>
      <Box sx={{ mt: 1, fontWeight: 700 }}>
        {shown.length > 0 ? 'Helps most for what it costs' : foresight.improvement}
      </Box>
      {shown.map((alternative) => (
        <Offer
          key={`${alternative.what} ${alternative.instead}`}
          text={`${alternative.what}: ${alternative.instead}, ${alternative.text}`}
          onTake={onChoose && (() => onChoose(alternative))}
        />
      ))}
      <Folded title="Other choices, one at a time">
        <Pairs
          rows={foresight.alternatives.map((alternative) => [
            `${alternative.what}: ${alternative.instead}`,
            alternative.text,
          ])}
        />
      </Folded>
    </>
  );
}

/** A change with what comes of it; taken over in one touch. */
function Offer({ text, onTake }: { text: string; onTake: (() => void) | undefined }) {
  return (
    <Box sx={{ display: 'flex', gap: 1, alignItems: 'baseline', justifyContent: 'space-between' }}>
      <span>{text}</span>
      {onTake && (
        <Button size="small" onClick={onTake} aria-label={`Take it: ${text}`}>
          Take it
        </Button>
      )}
    </Box>
  );
}
