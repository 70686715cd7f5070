import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { sentence, type Shapes } from '../../api/client';
import { ResultCard } from '../../results/ResultCard';
import { Sheet } from '../../identity/Sheet';
import { TrialResults } from '../../results/TrialResults';
import { VerdictLine } from '../../identity/Verdict';
import { accent, ink } from '../../identity/tokens';
import { entries, nameOf, pairs, text, type Entry, type Row } from './draft';
import { RowsTable, rowsIn } from './RowsTable';
import { useTrialRun, type useDraft } from './useDraft';

interface Props {
  page: Shapes['ExperimentPage'];
  work: ReturnType<typeof useDraft>;
}

/** A run of the draft: on readings that a simulated bench wrote, or on those that were typed. */
function useRun({ page, work }: Props) {
  const [rows, setRows] = useState<Row[]>([]);
  const [seed, setSeed] = useState(1);
  const run = useTrialRun(page.card.slug);
  const go = (body: Shapes['TrialRunRequest']) =>
    void work
      .flush()
      .then(() => run.mutateAsync(body))
      .then((example) =>
        setRows(example.readings.map((reading) => [reading.key, reading.trial, reading.index, reading.text])),
      )
      .catch(() => undefined); // told by ``problem``
  return {
    rows,
    setRows,
    outcome: run.error ? undefined : run.data,
    problem: run.error ?? work.error,
    busy: run.isPending,
    simulate: (fault: string) => {
      go({ seed, fault });
      setSeed(seed + 1);
    },
    workTyped: () =>
      go({
        fault: '',
        readings: rows
          .filter(([, , , typed]) => typed.trim() !== '')
          .map(([key, trial, index, typed]) => ({ key, trial, index, text: typed })),
      }),
  };
}

/** The draft worked before anybody depends on it. */
export function TrialRun({ page, work }: Props) {
  const { draft } = work;
  const run = useRun({ page, work });
  const example = Object.fromEntries(pairs(draft.example));
  return (
    <Box sx={{ display: 'grid', gap: 2.5 }}>
      <Simulate
        faults={entries(draft.faults)}
        hasExample={rowsIn(example.readings).length > 0}
        busy={run.busy}
        onRun={run.simulate}
      />
      {run.problem && (
        <VerdictLine level="stop" lead="Not run.">
          {sentence(run.problem)}
        </VerdictLine>
      )}
      {run.outcome && <Outcome run={run.outcome} colour={accent(text(draft.family))} />}
      <Sheet title="Readings">
        <RowsTable rows={run.rows} onChange={run.setRows} />
        {run.rows.length > 0 && (
          <Box sx={{ display: 'flex', gap: 1, mt: 1.5, flexWrap: 'wrap' }}>
            <Button variant="contained" disabled={run.busy} onClick={run.workTyped}>
              Work these readings
            </Button>
            <Button
              variant="outlined"
              onClick={() => work.change({ ...draft, example: { ...example, readings: run.rows } })}
            >
              Keep them as the worked example
            </Button>
          </Box>
        )}
      </Sheet>
    </Box>
  );
}

interface SimulateProps {
  faults: Entry[];
  hasExample: boolean;
  busy: boolean;
  onRun: (fault: string) => void;
}

function Simulate({ faults, hasExample, busy, onRun }: SimulateProps) {
  const [fault, setFault] = useState('');
  return (
    <Sheet title="Trial run" note="Nothing here reaches a class.">
      <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center', flexWrap: 'wrap', pt: 1 }}>
        <Button variant="contained" disabled={!hasExample || busy} onClick={() => onRun(fault)}>
          Simulate a bench
        </Button>
        <TextField
          select
          label="With a fault"
          value={fault}
          onChange={({ target }) => setFault(target.value)}
          sx={{ width: 240 }}
        >
          <MenuItem value="">None</MenuItem>
          {faults.map((fault) => (
            <MenuItem key={text(fault.key)} value={text(fault.key)}>
              {nameOf(fault)}
            </MenuItem>
          ))}
        </TextField>
      </Box>
      <Box sx={{ color: ink.inkSoft, fontSize: 14, mt: 1 }}>
        {hasExample
          ? 'Simulated instruments read the worked example anew, each with its own error. Or type your own readings below.'
          : 'There is no worked example to simulate from yet. Type a run below; it can become the example.'}
      </Box>
    </Sheet>
  );
}

function Outcome({ run, colour }: { run: Shapes['TrialRun']; colour: string }) {
  const { results, findings } = run.evaluation;
  return (
    <Sheet title="What came out">
      <Box sx={{ display: 'grid', gap: 1.25 }}>
        {run.passed ? (
          <VerdictLine level="keep" lead="It works.">
            Every result came out, and nothing stops the bench.
          </VerdictLine>
        ) : (
          <VerdictLine level="look" lead="Not yet.">
            {run.missing.length > 0
              ? `These did not come out: ${run.missing.join(', ')}.`
              : 'A finding stops the bench.'}
          </VerdictLine>
        )}
        {results
          .filter((result) => result.trial === null)
          .map((result) => (
            <ResultCard key={result.key} result={result} colour={colour} />
          ))}
        <TrialResults results={results} />
        {findings.map((finding) => (
          <VerdictLine
            key={`${finding.code}${finding.trial ?? ''}${finding.index ?? ''}`}
            level={finding.level}
            lead={finding.what}
          >
            {finding.why} {finding.do}
          </VerdictLine>
        ))}
      </Box>
    </Sheet>
  );
}
