import { sentence } from '../api/client';
import { VerdictLine } from './Verdict';

interface Props {
  /** What was not done, such as “Not kept.” */
  lead: string;
  /** What the server, or the way to it, answered instead; nothing is shown without one. */
  error: unknown;
}

/** What was asked for did not happen: that it did not, and the server's sentence on why and what to do. */
export function NotDone({ lead, error }: Props) {
  if (!error) return null;
  return (
    <VerdictLine level="look" lead={lead}>
      {sentence(error)}
    </VerdictLine>
  );
}
