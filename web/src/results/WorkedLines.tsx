import Box from '@mui/material/Box';
import type { Shapes } from '../api/client';
import { Figure } from '../identity/Figure';
import { Mathml } from '../identity/Mathml';
import { ink } from '../identity/tokens';

/** The computation line by line: formula, numbers put in, answer. */
export function WorkedLines({ lines }: { lines: Shapes['WorkedLine'][] }) {
  return (
    <Box component="ol" sx={{ listStyle: 'none', m: 0, p: 0 }}>
      {lines.map((line) => (
        <Box
          component="li"
          key={`${line.key}${line.trial ?? ''}`}
          sx={{ py: 1.25, borderBottom: `1px solid ${ink.ruleSoft}`, overflowX: 'auto', overflowY: 'hidden' }}
        >
          <Box sx={{ fontSize: 13.5, color: ink.inkSoft, mb: 0.5 }}>
            {line.label}
            {line.trial_name && `, ${line.trial_name}`}
          </Box>
          <Box
            sx={{ display: 'flex', alignItems: 'center', columnGap: 1, flexWrap: 'wrap' }}
            role="math"
            aria-label={line.plain}
          >
            <Mathml of={`${line.symbol}<mo>=</mo>${line.formula}`} />
            <Mathml of={`<mo>=</mo>${line.numbers}`} />
            <Mathml of="<mo>=</mo>" />
            <Box component="span" sx={{ fontWeight: 700, fontSize: 17 }}>
              <Figure text={line.answer.text} doubtful={line.answer.doubtful} unit={line.answer.unit} />
            </Box>
          </Box>
        </Box>
      ))}
    </Box>
  );
}
