import { styled } from '@mui/material/styles';
import Box from '@mui/material/Box';
import type { Shapes } from '../../api/client';
import { Figure } from '../../identity/Figure';
import { FIGURES, ink } from '../../identity/tokens';
import { STATES } from '../../identity/Verdict';
import type { Draft } from '../../queue/store';
import { asSlot, sameSlot, type Bench, type Slot } from './hand';

export const Table = styled('table')({
  borderCollapse: 'collapse',
  width: '100%',
  '& th, & td': {
    padding: '6px 0 6px 8px',
    textAlign: 'right',
    borderBottom: `1px solid ${ink.ruleSoft}`,
    verticalAlign: 'bottom',
    whiteSpace: 'nowrap',
  },
  '& th:first-of-type': { textAlign: 'left', paddingLeft: 0, fontWeight: 400, whiteSpace: 'normal' },
  '& thead th': { fontSize: 13, color: ink.inkSoft, fontWeight: 700 },
  '& thead th::first-letter': { textTransform: 'uppercase' },
});

const Cell = styled('button')({
  font: 'inherit',
  color: 'inherit',
  background: 'none',
  border: 0,
  padding: 0,
  cursor: 'pointer',
  fontSize: 16.5,
  minHeight: 24,
  '&:hover': { background: ink.liquid },
});

export interface LedgerProps {
  bench: Bench;
  pending: Draft[];
  onChoose: (slot: Slot) => void;
}

/** What is read once for the bench. */
export function BenchReadings({ bench, pending, onChoose }: LedgerProps) {
  const parts = bench.parts.filter(
    (part) => part.scope === 'bench' && part.kind !== 'observation' && !inTurn(part, bench),
  );
  const bottles = bench.evaluation.bench.filter(
    (reading) => !bench.parts.some((part) => part.key === reading.key),
  );
  return [...bottles.map(({ key, label, shown }) => ({ key, label, unit: shown.unit })), ...parts].map(
    (part) => {
      const readings = bench.evaluation.bench.filter((reading) => reading.key === part.key);
      const waiting = pending.filter((draft) => draft.key === part.key);
      if (readings.length + waiting.length === 0) return null;
      return (
        <Box key={part.key} sx={{ display: 'flex', justifyContent: 'space-between', gap: 1 }}>
          <span>
            {nameOf(part)}
            <FromTheBoard bench={bench} line={part.key} />
          </span>
          <Box sx={{ display: 'flex', flexWrap: 'wrap', justifyContent: 'flex-end', columnGap: 1.5 }}>
            {readings.map((reading) => (
              <Value key={reading.index ?? ''} reading={reading} bench={bench} onChoose={onChoose} />
            ))}
            {waiting.map((draft) => (
              <Waiting key={draft.id} text={draft.text} />
            ))}
          </Box>
        </Box>
      );
    },
  );
}

/** Who wrote it for the whole room, where nobody here did. */
function FromTheBoard({ bench, line }: { bench: Bench; line: string }) {
  const posted = bench.entries.find((entry) => entry.key === line && entry.trial === null)?.of_room;
  if (!posted) return null;
  return (
    <Box component="span" sx={{ display: 'block', color: ink.inkSoft, fontSize: 13.5 }}>
      written for the room by {posted}
    </Box>
  );
}

/** Whether it is read in turn with another: such readings have a table of their own. */
const inTurn = (part: Shapes['PartOut'], bench: Bench) =>
  part.beside !== '' || bench.parts.some((other) => other.beside === part.key);

export const nameOf = (part: Pick<Shapes['PartOut'], 'label' | 'unit'>) =>
  part.unit ? `${part.label}, ${part.unit}` : part.label;

export function Waiting({ text }: { text: string }) {
  return <i title="kept here, not sent yet">{text}</i>;
}

interface Column {
  number: number;
  name: string;
  why: string;
  state: string;
  trial?: Shapes['TrialOut'];
}

/** Trials known to the server, and those begun here that it has not heard of yet. */
function columnsOf(bench: Bench, pending: Draft[]): Column[] {
  const known = bench.evaluation.trials;
  const begun = [...new Set(pending.map((draft) => draft.trial ?? null))]
    .filter((number): number is number => number !== null && !known.some((trial) => trial.number === number))
    .sort((a, b) => a - b);
  const name = (number: number) =>
    bench.evaluation.steps.find((step) => step.trial === number)?.trial_short ?? String(number);
  return [
    ...known.map((trial) => ({ ...trial, trial })),
    ...begun.map((number) => ({ number, name: name(number), why: '', state: 'open' })),
  ];
}

/** Readings and what follows from them, a column for each trial. */
export function TrialReadings({ bench, pending, onChoose }: LedgerProps) {
  const trials = columnsOf(bench, pending);
  const rows = bench.parts
    .filter((part) => part.scope === 'trial' && part.kind !== 'observation' && !inTurn(part, bench))
    .flatMap((part) => places(part, bench));
  const quantities = bench.evaluation.trials
    .flatMap((trial) => trial.quantities)
    .filter((q, at, all) => all.findIndex((o) => o.key === q.key) === at);
  return (
    <Table>
      {trials.length > 0 && <Head bench={bench} trials={trials} />}
      <tbody>
        {rows.map((row) => (
          <tr key={`${row.key}${row.index ?? ''}`}>
            <th scope="row">{row.label}</th>
            {trials.map((trial) => (
              <td
                key={trial.number}
                style={{
                  opacity: opacity(trial),
                  textDecoration: trial.state === 'void' ? 'line-through' : 'none',
                }}
              >
                <Made {...{ bench, pending, onChoose, row, trial }} />
              </td>
            ))}
          </tr>
        ))}
        {quantities.map((quantity) => (
          <Computed key={quantity.key} quantity={quantity} trials={trials} />
        ))}
      </tbody>
    </Table>
  );
}

/** Trials that are not averaged stand back. */
const opacity = ({ state }: Column) => (state === 'counted' || state === 'open' ? 1 : 0.65);

function Head({ bench, trials }: { bench: Bench; trials: Column[] }) {
  return (
    <thead>
      <tr>
        <th>{bench.evaluation.trial_noun}</th>
        {trials.map((trial) => (
          <th key={trial.number} title={trial.why}>
            {trial.name}
            {['void', 'set aside'].includes(trial.state) && (
              <div style={{ fontWeight: 400 }}>{trial.state}</div>
            )}
          </th>
        ))}
      </tr>
    </thead>
  );
}

/** The reading of one trial, or what was written here and is not sent yet. */
function Made({ bench, pending, onChoose, row, trial }: LedgerProps & { row: Place; trial: Column }) {
  const reading = trial.trial?.readings.find(
    (reading) => reading.key === row.key && reading.index === row.index,
  );
  if (reading) return <Value reading={reading} bench={bench} onChoose={onChoose} />;
  const waits = pending.find((draft) => sameSlot(asSlot(draft), { ...row, trial: trial.number }));
  return waits ? <Waiting text={waits.text} /> : null;
}

function Computed({ quantity, trials }: { quantity: Shapes['QuantityOut']; trials: Column[] }) {
  const { key, label, shown } = quantity;
  return (
    <tr>
      <th scope="row" style={{ color: ink.inkSoft }}>
        {label}
        {shown.unit ? `, ${shown.unit}` : ''}
      </th>
      {trials.map((trial) => {
        const quantity = trial.trial?.quantities.find((candidate) => candidate.key === key);
        return (
          <td key={trial.number} style={{ fontSize: 15.5, opacity: opacity(trial) }}>
            {quantity && <Figure text={quantity.shown.text} />}
          </td>
        );
      })}
    </tr>
  );
}

interface Place {
  key: string;
  index: number | null;
  label: string;
}

/** One row for a reading; for a series one for each weighing so far. */
function places(part: Shapes['PartOut'], bench: Bench): Place[] {
  const name = nameOf(part);
  const readings = bench.evaluation.trials
    .flatMap((trial) => trial.readings)
    .filter((reading) => reading.key === part.key);
  if (part.kind !== 'series')
    return part.optional && readings.length === 0 ? [] : [{ key: part.key, index: null, label: name }];
  const most = Math.max(1, ...readings.map((reading) => reading.index ?? 0));
  return Array.from({ length: most }, (_, at) => ({
    key: part.key,
    index: at + 1,
    label: at === 0 && most > 1 ? `${name} 1` : at === 0 ? name : String(at + 1),
  }));
}

export function Value({
  reading,
  bench,
  onChoose,
}: {
  reading: Shapes['ReadingOut'];
  bench: Bench;
  onChoose: LedgerProps['onChoose'];
}) {
  const entry = bench.entries.find((entry) => sameSlot(entry, reading));
  const colour = reading.level === 'keep' ? 'inherit' : STATES[reading.level].colour;
  const Shape = STATES[reading.level].Icon;
  return (
    <Cell onClick={() => onChoose(reading)} title="Touch to correct it" style={{ color: colour }}>
      {entry?.old.map((old) => (
        <s key={old} style={{ display: 'block', fontFamily: FIGURES, fontSize: 12.5, color: ink.inkSoft }}>
          {old}
        </s>
      ))}
      {reading.level !== 'keep' && <Shape sx={{ fontSize: 14, verticalAlign: -2, mr: 0.25 }} />}
      <Figure text={reading.shown.text} doubtful={reading.shown.doubtful} />
    </Cell>
  );
}
