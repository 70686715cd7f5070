import Box from '@mui/material/Box';
import type { Shapes } from '../api/client';
import { FIGURES, ink } from '../identity/tokens';

const SHOWN = 5;

/** What limits a result: a bar for each cause, by its share of the variance; small ones are gathered. */
export function BudgetBars({ lines, colour }: { lines: Shapes['BudgetOut'][]; colour: string }) {
  const big = lines.slice(0, SHOWN).filter((line) => line.share >= 0.005);
  const rest = 1 - big.reduce((sum, line) => sum + line.share, 0);
  const rows = rest >= 0.005 ? [...big, { label: 'Everything else', share: rest }] : big;
  return (
    <Box
      component="dl"
      sx={{ m: 0, display: 'grid', gridTemplateColumns: 'auto 1fr', gap: '6px 12px', alignItems: 'center' }}
    >
      {rows.map((line, place) => (
        <Box key={line.label} sx={{ display: 'contents' }}>
          <Box component="dt" sx={{ fontSize: 13.5 }}>
            {line.label}
          </Box>
          <Box component="dd" sx={{ m: 0, display: 'flex', alignItems: 'center', gap: 1 }}>
            <Box
              sx={{
                height: 14,
                borderRadius: 0.5,
                bgcolor: colour,
                opacity: 1 - place * 0.14,
                width: `${line.share * 72}%`,
                minWidth: 3,
              }}
            />
            <Box
              component="span"
              sx={{ fontFamily: FIGURES, fontSize: 13, color: ink.inkSoft, whiteSpace: 'nowrap' }}
            >
              {Math.round(line.share * 100)} %
            </Box>
          </Box>
        </Box>
      ))}
    </Box>
  );
}
