import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { Shapes } from '../../api/client';
import { BudgetBars } from '../../results/BudgetBars';
import { Figure } from '../../identity/Figure';
import { ChartView } from '../../charts/ChartView';
import { SquareView } from '../../charts/SquareView';
import { HandedLines } from '../../results/HandedLines';
import { PathBack } from '../../results/PathBack';
import { ResultCard } from '../../results/ResultCard';
import { TrialResults } from '../../results/TrialResults';
import { Settled } from '../../results/Settled';
import { StateTag, VerdictLine } from '../../identity/Verdict';
import { FIGURES, ink } from '../../identity/tokens';
import type { Draft } from '../../queue/store';
import type { Bench, Slot } from './hand';
import { PairedReadings } from './LedgerPairs';
import { BenchReadings, TrialReadings } from './LedgerTable';
import { OtherProduct } from '../../results/OtherProduct';

interface Props {
  bench: Bench;
  pending: Draft[];
  colour: string;
  onChoose: (slot: Slot) => void;
}

/** All readings so far by trial, and what they are worth. */
export function Ledger({ bench, pending, colour, onChoose }: Props) {
  const { evaluation } = bench;
  // Of results that every trial has, the newest is the one to look at.
  const first = evaluation.results.findLast((result) => result.key === evaluation.results[0]?.key);
  const others = evaluation.results.filter((result) => result !== first && result.trial === null);
  const drawn = evaluation.charts.find((chart) => chart.square);
  const square = drawn?.square;
  const [chart, ...charts] = evaluation.charts.filter((chart) => chart !== drawn);
  return (
    <Box sx={{ display: 'grid', gap: 2, alignContent: 'start' }}>
      {drawn && square && (
        <SquareView
          chart={drawn}
          square={square}
          colour={colour}
          waiting={pending.filter((draft) => draft.key === square.key)}
          onChoose={(trial) => onChoose({ key: square.key, trial, index: null })}
        />
      )}
      {chart && <ChartView chart={chart} colour={colour} />}
      <HandedLines handed={evaluation.handed} />
      <BenchReadings bench={bench} pending={pending} onChoose={onChoose} />
      {!square && (
        <Box sx={{ overflowX: 'auto' }}>
          <TrialReadings bench={bench} pending={pending} onChoose={onChoose} />
        </Box>
      )}
      <PairedReadings bench={bench} pending={pending} onChoose={onChoose} />
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
      <Settled evaluation={evaluation} />
      <Findings bench={bench} onChoose={onChoose} />
      {first ? <ResultCard result={first} colour={colour} /> : <Empty veil={evaluation.veil} />}
      {first && evaluation.veil && <Empty veil={evaluation.veil} />}
      {!square && <TrialResults results={evaluation.results} />}
      <PathBack evaluation={evaluation} colour={colour} />
      {others.length > 0 && (
        <Box sx={{ display: 'grid', gap: 0.5 }}>
          {others.map((result) => (
            <OtherResult key={result.key} result={result} />
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
      {charts.map((chart) => (
        <ChartView key={chart.key} chart={chart} colour={colour} />
      ))}
      {bench.comparison && <OtherProduct comparison={bench.comparison} />}
    </Box>
  );
}

/** A result beside the one that is looked at, in a line. */
function OtherResult({ result }: { result: Shapes['ResultOut'] }) {
  return (
    <Box sx={{ display: 'flex', justifyContent: 'space-between', gap: 1, fontSize: 14 }}>
      <span>{result.label}</span>
      <Box component="span" sx={{ textAlign: 'right', flexShrink: 0, maxWidth: '72%' }}>
        <Figure text={result.shown.text} doubtful={result.shown.doubtful} />{' '}
        <span style={{ fontFamily: FIGURES, color: ink.inkSoft, whiteSpace: 'nowrap' }}>
          ± {result.uncertainty}
          {result.power ? ` × ${result.power}` : ''} {result.unit}
        </span>
      </Box>
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

/** Why there is nothing to see yet. */
function Empty({ veil }: { veil: string }) {
  return (
    <Box sx={{ border: `1.5px dashed ${ink.rule}`, borderRadius: 2, p: 2, color: ink.inkSoft }}>
      {veil ||
        'The result appears here as soon as one trial is complete, with its uncertainty and what limits it.'}
    </Box>
  );
}
