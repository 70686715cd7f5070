import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { VerdictLine } from '../../identity/Verdict';
import type { Outbox } from '../../queue/useOutbox';

/** Why entries are still only on this device, and what to do with one that the server cannot read. */
export function NotSent({ outbox }: { outbox: Outbox }) {
  return (
    <>
      {outbox.trouble && (
        <VerdictLine level="look" lead="Kept here, not sent yet.">
          {outbox.trouble}
        </VerdictLine>
      )}
      {outbox.held.map(({ id, draft, held }) => (
        <Box key={id} sx={{ p: 1, display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap' }}>
          <Box sx={{ flex: 1, minWidth: 240 }}>
            <VerdictLine level="stop" lead={`“${draft.text.slice(0, 40)}” is kept on this device only.`}>
              {held}
            </VerdictLine>
          </Box>
          <Button onClick={() => void outbox.tryAgain(id)}>Send again</Button>
          <Button onClick={() => void outbox.throwAway(id)}>Throw away</Button>
        </Box>
      ))}
    </>
  );
}
