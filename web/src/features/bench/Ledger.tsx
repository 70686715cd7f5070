import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { styled } from '@mui/material/styles';
import type { Shapes } from '../../api/client';
import { BudgetBars } from '../../identity/BudgetBars';
import { Figure } from '../../identity/Figure';
import { ResultCard } from '../../identity/ResultCard';
import { StateTag, STATES, VerdictLine } from '../../identity/Verdict';
import { FIGURES, ink } from '../../identity/tokens';
import type { Draft } from '../../queue/outbox';
import { sameSlot, type Bench, type Slot } from './hand';

const Table = styled('table')({
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

interface Props {
  bench: Bench;
  pending: Draft[];
  colour: string;
  onChoose: (slot: Slot) => void;
}

/** All readings so far by trial, and what they are worth. */
export function Ledger({ bench, pending, colour, onChoose }: Props) {
  const { evaluation } = bench;
  const [first, ...others] = evaluation.results;
  return (
    <Box sx={{ display: 'grid', gap: 2, alignContent: 'start' }}>
      {evaluation.bench.map((reading) => (
        <Box key={reading.key} sx={{ display: 'flex', justifyContent: 'space-between', gap: 1 }}>
          <span>
            {reading.label}, {reading.shown.unit}
          </span>
          <Value reading={reading} bench={bench} onChoose={onChoose} />
        </Box>
      ))}
      <Box sx={{ overflowX: 'auto' }}>
        <Readings bench={bench} pending={pending} onChoose={onChoose} />
      </Box>
      {evaluation.agreement && (
        <Box sx={{ display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap', fontSize: 14 }}>
          <StateTag
            level={evaluation.agreement.level}
            word={evaluation.agreement.level === 'keep' ? 'Agree' : 'Once more'}
          />
          <span>
            {evaluation.agreement.what} {evaluation.agreement.why}
          </span>
        </Box>
      )}
      <Findings bench={bench} onChoose={onChoose} />
      {first ? <ResultCard result={first} colour={colour} /> : <Empty />}
      {others.length > 0 && (
        <Box sx={{ display: 'grid', gap: 0.5 }}>
          {others.map((result) => (
            <Box
              key={result.key}
              sx={{ display: 'flex', justifyContent: 'space-between', gap: 1, fontSize: 14 }}
            >
              <span>{result.label}</span>
              <span>
                <Figure text={result.shown.text} doubtful={result.shown.doubtful} />{' '}
                <span style={{ fontFamily: FIGURES, color: ink.inkSoft, whiteSpace: 'nowrap' }}>
                  ± {result.uncertainty}
                  {result.power ? ` × ${result.power}` : ''} {result.unit}
                </span>
              </span>
            </Box>
          ))}
        </Box>
      )}
      {first && (
        <Box>
          <Box component="h3" sx={{ fontSize: 13, color: ink.inkSoft, m: 0, mb: 1 }}>
            What limits the result
          </Box>
          <BudgetBars lines={first.budget} colour={colour} />
          <Box sx={{ fontSize: 13.5, color: ink.inkSoft, mt: 1 }}>{first.advice}</Box>
        </Box>
      )}
    </Box>
  );
}

/** What is said of readings that stand: what, why, what to do; a touch leads to the reading. */
function Findings({ bench, onChoose }: { bench: Bench; onChoose: (slot: Slot) => void }) {
  const about = bench.evaluation.findings.filter(
    (finding) => finding.code !== bench.evaluation.agreement?.code,
  );
  return about.map((finding) => (
    <VerdictLine
      key={`${finding.code}${finding.key}${finding.trial}${finding.index}`}
      level={finding.level}
      lead={finding.what}
    >
      {finding.why} {finding.do}
      {finding.key && (
        <Button
          size="small"
          onClick={() => onChoose({ key: finding.key, trial: finding.trial, index: finding.index })}
          sx={{
            color: 'inherit',
            p: 0,
            minHeight: 24,
            textDecoration: 'underline',
            verticalAlign: 'baseline',
            ml: 0.5,
          }}
        >
          Look at it
        </Button>
      )}
    </VerdictLine>
  ));
}

function Empty() {
  return (
    <Box sx={{ border: `1.5px dashed ${ink.rule}`, borderRadius: 2, p: 2, color: ink.inkSoft }}>
      The result appears here as soon as one trial is complete, with its uncertainty and what limits it.
    </Box>
  );
}

function Readings({ bench, pending, onChoose }: Omit<Props, 'colour'>) {
  const { evaluation, parts } = bench;
  const trials = evaluation.trials;
  const rows = parts
    .filter((part) => part.scope === 'trial' && part.kind !== 'observation')
    .flatMap((part) => places(part, bench));
  const quantities = evaluation.trials
    .flatMap((trial) => trial.quantities)
    .filter((q, at, all) => all.findIndex((o) => o.key === q.key) === at);
  return (
    <Table>
      {trials.length > 0 && (
        <thead>
          <tr>
            <th>
              {evaluation.steps
                .find((step) => step.trial !== null)
                ?.trial_name.replace(/^Rough /, '')
                .replace(/ \d+$/, '')}
            </th>
            {trials.map((trial) => (
              <th key={trial.number} title={trial.why}>
                {trial.name}
                {trial.state === 'void' && <div style={{ fontWeight: 400 }}>void</div>}
                {trial.state === 'set aside' && <div style={{ fontWeight: 400 }}>set aside</div>}
              </th>
            ))}
          </tr>
        </thead>
      )}
      <tbody>
        {rows.map((row) => (
          <tr key={`${row.key}${row.index ?? ''}`}>
            <th scope="row">{row.label}</th>
            {trials.map((trial) => {
              const reading = trial.readings.find((one) => one.key === row.key && one.index === row.index);
              const waits = pending.find((draft) =>
                sameSlot(
                  { key: draft.key, trial: draft.trial ?? null, index: draft.index ?? null },
                  { key: row.key, trial: trial.number, index: row.index },
                ),
              );
              const muted = trial.state === 'void' || trial.state === 'rough' || trial.state === 'set aside';
              return (
                <td
                  key={trial.number}
                  style={{
                    opacity: muted ? 0.65 : 1,
                    textDecoration: trial.state === 'void' ? 'line-through' : 'none',
                  }}
                >
                  {reading ? (
                    <Value reading={reading} bench={bench} onChoose={onChoose} />
                  ) : waits ? (
                    <i title="kept here, not sent yet">{waits.text}</i>
                  ) : (
                    ''
                  )}
                </td>
              );
            })}
          </tr>
        ))}
        {quantities.map((quantity) => (
          <tr key={quantity.key}>
            <th scope="row" style={{ color: ink.inkSoft }}>
              {quantity.label}
              {quantity.shown.unit ? `, ${quantity.shown.unit}` : ''}
            </th>
            {trials.map((trial) => {
              const found = trial.quantities.find((one) => one.key === quantity.key);
              const muted = trial.state !== 'counted' && trial.state !== 'open';
              return (
                <td key={trial.number} style={{ fontSize: 15.5, opacity: muted ? 0.65 : 1 }}>
                  {found && <Figure text={found.shown.text} />}
                </td>
              );
            })}
          </tr>
        ))}
      </tbody>
    </Table>
  );
}

interface Place {
  key: string;
  index: number | null;
  label: string;
}

/** One row for a reading; for a series one for each weighing so far. */
function places(part: Shapes['PartOut'], bench: Bench): Place[] {
  const name = part.unit ? `${part.label}, ${part.unit}` : part.label;
  const made = bench.evaluation.trials
    .flatMap((trial) => trial.readings)
    .filter((one) => one.key === part.key);
  if (part.kind !== 'series')
    return part.optional && made.length === 0 ? [] : [{ key: part.key, index: null, label: name }];
  const most = Math.max(1, ...made.map((one) => one.index ?? 0));
  return Array.from({ length: most }, (_, at) => ({
    key: part.key,
    index: at + 1,
    label: `${name} (${at + 1})`,
  }));
}

function Value({
  reading,
  bench,
  onChoose,
}: {
  reading: Shapes['ReadingOut'];
  bench: Bench;
  onChoose: Props['onChoose'];
}) {
  const entry = bench.entries.find((one) => sameSlot(one, reading));
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
