import Box from '@mui/material/Box';
import type { Shapes } from '../api/client';
import { FIGURES, ink } from '../identity/tokens';

/** The results beside those of the other samples of the same bench, with what the difference is worth. */
export function BesideSamples({ of }: { of: Shapes['BesideSample'][] }) {
  return (
    <Box sx={{ display: 'grid', gap: 1 }}>
      {of.flatMap(({ sample, pairs }) =>
        pairs.map((pair) => (
          <Box key={`${sample} ${pair.key}`} sx={{ fontSize: 14 }}>
            {pair.label}: <span style={{ fontFamily: FIGURES }}>{pair.own}</span> here,{' '}
            <span style={{ fontFamily: FIGURES }}>{pair.other}</span> of {sample}
            {pair.unit && `, ${pair.unit}`}.<Box sx={{ color: ink.inkSoft }}>{pair.sentence}</Box>
          </Box>
        )),
      )}
    </Box>
  );
}
