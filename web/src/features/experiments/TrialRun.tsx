import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { sentence, type Shapes } from '../../api/client';
import { ResultCard } from '../../identity/ResultCard';
import { Sheet } from '../../identity/Sheet';
import { TrialResults } from '../../identity/TrialResults';
import { VerdictLine } from '../../identity/Verdict';
import { accent, ink } from '../../identity/tokens';
import { entries, nameOf, pairs, text, type Row } from './draft';
import { RowsTable, rowsIn } from './RowsTable';
import { useTrialRun, type useDraft } from './useDraft';

interface Props {
  page: Shapes['ExperimentPage'];
  work: ReturnType<typeof useDraft>;
}

/** The draft worked before anybody depends on it: on readings that a simulated bench wrote, or on your own. */
export function TrialRun({ page, work }: Props) {
  const { draft } = work;
  const [rows, setRows] = useState<Row[]>([]);
  const [fault, setFault] = useState('');
  const [seed, setSeed] = useState(1);
  const run = useTrialRun(page.card.slug);
  const hasExample = rowsIn(Object.fromEntries(pairs(draft.example)).readings).length > 0;
  const go = (body: Shapes['TrialRunRequest']) =>
    void work
      .flush()
      .then(() => run.mutateAsync(body))
      .then((found) => setRows(found.readings.map((one) => [one.key, one.trial, one.index, one.text])))
      .catch(() => undefined); // told below
  const typed = () =>
    go({
      fault: '',
      readings: rows
        .filter(([, , , said]) => said.trim() !== '')
        .map(([key, trial, index, said]) => ({ key, trial, index, text: said })),
    });
  return (
    <Box sx={{ display: 'grid', gap: 2.5 }}>
      <Sheet title="Trial run" note="Nothing here reaches a class.">
        <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center', flexWrap: 'wrap', pt: 1 }}>
          <Button
            variant="contained"
            disabled={!hasExample || run.isPending}
            onClick={() => {
              go({ seed, fault });
              setSeed(seed + 1);
            }}
          >
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
            {entries(draft.faults).map((one) => (
              <MenuItem key={text(one.key)} value={text(one.key)}>
                {nameOf(one)}
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
      {(run.error ?? work.error) && (
        <VerdictLine level="stop" lead="Not run.">
          {sentence(run.error ?? work.error)}
        </VerdictLine>
      )}
      {run.data && !run.error && <Outcome run={run.data} colour={accent(text(draft.family))} />}
      <Sheet title="Readings">
        <RowsTable rows={rows} onChange={setRows} />
        {rows.length > 0 && (
          <Box sx={{ display: 'flex', gap: 1, mt: 1.5, flexWrap: 'wrap' }}>
            <Button variant="contained" disabled={run.isPending} onClick={typed}>
              Work these readings
            </Button>
            <Button
              variant="outlined"
              onClick={() =>
                work.change({
                  ...draft,
                  example: { ...Object.fromEntries(pairs(draft.example)), readings: rows },
                })
              }
            >
              Keep them as the worked example
            </Button>
          </Box>
        )}
      </Sheet>
    </Box>
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
          .filter((one) => one.trial === null)
          .map((one) => (
            <ResultCard key={one.key} result={one} colour={colour} />
          ))}
        <TrialResults results={results} />
        {findings.map((one) => (
          <VerdictLine
            key={`${one.code}${one.trial ?? ''}${one.index ?? ''}`}
            level={one.level}
            lead={one.what}
          >
            {one.why} {one.do}
          </VerdictLine>
        ))}
      </Box>
    </Sheet>
  );
}
