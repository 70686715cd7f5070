import Box from '@mui/material/Box';
import type { Shapes } from '../api/client';
import { Figure } from '../identity/Figure';
import { FIGURES, ink } from '../identity/tokens';

/** “Concentration, vessel 2”: a result's label with the trial it belongs to. */
const resultName = (result: Shapes['ResultOut']) =>
  result.trial_name ? `${result.label}, ${result.trial_name.toLowerCase()}` : result.label;

/** A result with its uncertainty, under the family's stripe. */
export function ResultCard({
  result,
  colour,
  small = false,
}: {
  result: Shapes['ResultOut'];
  colour: string;
  small?: boolean;
}) {
  const power = result.power ? ` × ${result.power}` : '';
  return (
    <Box
      sx={{
        border: `1px solid ${ink.rule}`,
        boxShadow: `inset 6px 0 0 ${colour}`,
        borderRadius: 2,
        bgcolor: ink.sheet,
        pl: 2.25,
        pr: 1.5,
        py: small ? 0.75 : 1.25,
      }}
    >
      <Box sx={{ fontSize: 13, fontWeight: 700, color: ink.inkSoft }}>{resultName(result)}</Box>
      <Box sx={{ fontSize: small ? 19 : 27, fontWeight: 700, lineHeight: 1.4 }}>
        <Figure text={result.shown.text} doubtful={result.shown.doubtful} />
        <Box
          component="span"
          sx={{
            fontFamily: FIGURES,
            fontSize: small ? 14 : 17,
            fontWeight: 400,
            color: ink.inkSoft,
            ml: 0.75,
          }}
        >
          ± {result.uncertainty}
          {power} {result.unit}
        </Box>
      </Box>
      {!small && (
        <Box sx={{ fontSize: 13, color: ink.inkSoft }}>
          95 %, k = {result.k.toFixed(2)}
          {result.comparison
            ? ` · ${result.comparison.percent_text} from ${result.comparison.accepted} ${result.unit}`
            : ''}
        </Box>
      )}
    </Box>
  );
}
