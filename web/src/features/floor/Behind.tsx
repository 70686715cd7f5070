import { Refusal } from '../../api/client';
import { VerdictLine } from '../../identity/Verdict';
import { clock } from '../../time/time';
import { useNow } from '../../time/useNow';

const QUIET = 12_000; // ms: eight looks that nobody answered

interface Props {
  /** When the server told the room last, as the device's clock has it; 0 before the first answer. */
  since: number;
  /** What went wrong at the last look, if anything did. */
  error: unknown;
}

/** Says that the room is not seen as it is now: a picture that stands still looks like a quiet room. */
export function Behind({ since, error }: Props) {
  const now = useNow(1000);
  if (since === 0 || now - since < QUIET) return null;
  return (
    <VerdictLine level="look" lead={`The room as it was at ${clock(since)}.`}>
      {error instanceof Refusal
        ? error.message
        : 'Nothing has come from the server since. It is asked again by itself: look at the benches meanwhile.'}
    </VerdictLine>
  );
}
