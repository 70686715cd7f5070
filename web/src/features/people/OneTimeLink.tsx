import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import type { Shapes } from '../../api/client';
import { FIGURES, ink } from '../../identity/tokens';
import { VerdictLine } from '../../identity/Verdict';

/** A link that was just made. It is told here once, to be handed on by whatever way people have. */
export function OneTimeLink({ link, of }: { link: Shapes['StaffLink']; of: string }) {
  const address = window.location.origin + link.path;
  const [copied, setCopied] = useState(false);
  return (
    <Box sx={{ p: 1.5, border: `1px solid ${ink.keep}`, borderRadius: 2, bgcolor: ink.keepWash }}>
      <VerdictLine level="keep" lead={of}>
        It opens once, within {link.days} days. It is not shown again.
      </VerdictLine>
      <Box sx={{ fontFamily: FIGURES, overflowWrap: 'anywhere', my: 1, userSelect: 'all' }}>{address}</Box>
      <Button
        variant="outlined"
        size="small"
        onClick={() => void navigator.clipboard?.writeText(address).then(() => setCopied(true))}
      >
        {copied ? 'Copied' : 'Copy the link'}
      </Button>
    </Box>
  );
}
