import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import type { Shapes } from '../../api/client';
import { nameOf, Table, Value, Waiting, type LedgerProps } from './LedgerTable';
import { asSlot, sameSlot, trialName } from './hand';

const LATEST = 6;

/** Readings that are made in turn, a table for each of them. */
export function PairedReadings(props: LedgerProps) {
  const { parts } = props.bench;
  return parts
    .filter((part) => parts.some((other) => other.beside === part.key))
    .map((part) => <Pair key={part.key} {...props} first={part} />);
}

/** Of the bench or of the trial in hand: the latest rows, all of them on demand. */
function Pair({ bench, pending, onChoose, first }: LedgerProps & { first: Shapes['PartOut'] }) {
  const [all, setAll] = useState(false);
  const keys = [first, ...bench.parts.filter((part) => part.beside === first.key)];
  const begun = bench.evaluation.trials.findLast((trial) =>
    trial.readings.some((reading) => reading.key === first.key),
  );
  const waits = pending.filter((draft) => draft.key === first.key);
  const trial = first.scope === 'bench' ? null : (begun?.number ?? waits[0]?.trial ?? null);
  const readings = first.scope === 'bench' ? bench.evaluation.bench : (begun?.readings ?? []);
  const rows = Math.max(
    0,
    ...[
      ...readings.filter((reading) => reading.key === first.key),
      ...waits.filter((d) => (d.trial ?? null) === trial),
    ].map((entry) => entry.index ?? 0),
  );
  if (rows === 0) return null;
  const from = all ? 1 : Math.max(1, rows - LATEST + 1);
  return (
    <Box sx={{ overflowX: 'auto', '& thead th': { whiteSpace: 'normal !important' } }}>
      <Table>
        <thead>
          <tr>
            <th>{trial === null ? '' : trialName(bench, trial)}</th>
            {keys.map((part) => (
              <th key={part.key}>{nameOf(part)}</th>
            ))}
          </tr>
        </thead>
        <tbody>
          {Array.from({ length: rows - from + 1 }, (_, n) => from + n).map((index) => (
            <tr key={index}>
              <th scope="row">{index}</th>
              {keys.map((part) => {
                const slot = { key: part.key, trial, index };
                const reading = readings.find((candidate) => sameSlot(candidate, slot));
                const waiting = pending.find((draft) => sameSlot(asSlot(draft), slot));
                return (
                  <td key={part.key}>
                    {reading ? (
                      <Value reading={reading} bench={bench} onChoose={onChoose} />
                    ) : (
                      waiting && <Waiting text={waiting.text} />
                    )}
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </Table>
      {rows > LATEST && (
        <Button size="small" onClick={() => setAll(!all)}>
          {all ? 'Only the latest' : `All ${rows} points`}
        </Button>
      )}
    </Box>
  );
}
