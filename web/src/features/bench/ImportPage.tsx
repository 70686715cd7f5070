import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { base64Of } from '../../api/base64';
import { api, said, type Shapes } from '../../api/client';
import { benchKey, useBench } from '../../api/hooks';
import { FileButton } from '../../identity/FileButton';
import { Heading } from '../../identity/Heading';
import { NotDone } from '../../identity/NotDone';
import { Loaded, Page } from '../../identity/Page';
import { Sheet } from '../../identity/Sheet';
import { accent } from '../../identity/tokens';
import { BroughtTable } from './BroughtTable';

/** Readings from a table: pasted, or from a file; shown first, kept when that is confirmed. */
export function ImportPage() {
  const bench = useBench(Number(useParams().bench));
  return (
    <Page>
      <Loaded of={bench}>{(data) => <Import bench={data} />}</Loaded>
    </Page>
  );
}

type Table = Omit<Shapes['BroughtRequest'], 'keep'>;

function useBring(bench: number) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (body: Shapes['BroughtRequest']) =>
      said(api.POST('/api/benches/{bench_id}/readings', { params: { path: { bench_id: bench } }, body })),
    onSuccess: () => queries.invalidateQueries({ queryKey: benchKey(bench) }),
  });
}

function Import({ bench }: { bench: Shapes['BenchView'] }) {
  const [table, setTable] = useState<Table>({ text: '', file: '', file_name: '' });
  const bring = useBring(bench.id);
  const look = (chosen: Table) => {
    setTable(chosen);
    bring.mutate({ ...chosen, keep: false });
  };
  const file = async (chosen: File) =>
    look({ text: '', file: await base64Of(chosen), file_name: chosen.name });
  const names = bench.parts.filter((part) => part.kind !== 'observation').map((part) => part.label);
  return (
    <Box sx={{ display: 'grid', gap: 3 }}>
      <Heading
        colour={accent(bench.session.family)}
        above={`Bench ${bench.number}`}
        title="Readings from a table"
        below={<Link to={`/benches/${bench.id}`}>Back to the bench</Link>}
      />
      <Sheet title="Paste it, or choose a file">
        <Box sx={{ display: 'grid', gap: 1.5, pt: 1 }}>
          <TextField
            label="A table with its heads"
            multiline
            minRows={5}
            maxRows={12}
            value={table.text}
            onChange={(event) => setTable({ text: event.target.value, file: '', file_name: '' })}
            helperText={`Called as at the bench: ${names.slice(0, 4).join(' · ')}. Trials below each other or side by side.`}
          />
          <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
            <Button
              variant="outlined"
              disabled={!table.text?.trim() || bring.isPending}
              onClick={() => look({ ...table, file: '', file_name: '' })}
            >
              Look at the table
            </Button>
            <FileButton
              label="CSV, XLSX or JSON file"
              accept=".csv,.txt,.tsv,.xlsx,.json"
              disabled={bring.isPending}
              onChoose={(chosen) => void file(chosen)}
            />
          </Box>
          <NotDone lead="Not read." error={bring.error} />
        </Box>
      </Sheet>
      {bring.data && (
        <BroughtTable
          brought={bring.data}
          noun={bench.evaluation.trial_noun}
          busy={bring.isPending}
          onKeep={() => bring.mutate({ ...table, keep: true })}
        />
      )}
    </Box>
  );
}
