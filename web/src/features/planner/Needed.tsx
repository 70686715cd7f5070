import Box from '@mui/material/Box';
import type { Shapes } from '../../api/client';
import { Sheet } from '../../identity/Sheet';
import { FIGURES, ink } from '../../identity/tokens';
import { VerdictLine } from '../../identity/Verdict';

/** Planning backwards: what to aim at, so that the work comes out as wanted. */
export function Targets({ targets }: { targets: Shapes['TargetOut'][] }) {
  return targets.map((target) => (
    <Box key={target.label} sx={{ display: 'grid', gridTemplateColumns: '1fr auto', columnGap: 2, mb: 1 }}>
      <span>
        {target.label}
        <Box component="span" sx={{ display: 'block', color: ink.inkSoft, fontSize: 13 }}>
          {target.why}
        </Box>
      </span>
      <Box component="span" sx={{ fontFamily: FIGURES, fontSize: 20, fontWeight: 700, whiteSpace: 'nowrap' }}>
        {target.text}
      </Box>
    </Box>
  ));
}

interface Props {
  needed: Shapes['Supplies'];
  benches: number;
  /** How its solutions would be made; none for who does not make any. */
  recipes: Shapes['PlannedSolution'][];
}

/** What to aim at, and what to have ready for everybody. */
export function Needed({ needed, benches, recipes }: Props) {
  const cell = {
    padding: '5px 10px 5px 0',
    borderBottom: `1px solid ${ink.ruleSoft}`,
    textAlign: 'left',
  } as const;
  const figure = { ...cell, fontFamily: FIGURES, whiteSpace: 'nowrap' } as const;
  return (
    <Sheet
      title="What to weigh and prepare"
      note={`${benches} × ${needed.trials}, ${needed.spare_percent} % spare`}
    >
      <Targets targets={needed.targets} />
      <Box sx={{ overflowX: 'auto' }}>
        <table style={{ borderCollapse: 'collapse', width: '100%', fontSize: 14 }}>
          <thead>
            <tr style={{ color: ink.inkSoft, fontSize: 13 }}>
              {['Used up', 'each', 'bench', 'class'].map((head) => (
                <th key={head} style={cell}>
                  {head}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {needed.supplies.map((supply) => (
              <tr key={supply.label}>
                <td style={cell}>
                  {supply.label}
                  <Box component="span" sx={{ display: 'block', color: ink.inkSoft, fontSize: 12.5 }}>
                    {supply.note}
                  </Box>
                </td>
                <td style={{ ...figure, whiteSpace: 'normal' }}>{supply.each}</td>
                <td style={figure}>{supply.bench}</td>
                <td style={{ ...figure, fontWeight: 700 }}>{supply.whole_class}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </Box>
      {recipes.length > 0 && <Box sx={{ mt: 1.5, fontSize: 13, fontWeight: 700 }}>How it would be made</Box>}
      {recipes.map((recipe) => (
        <Box key={recipe.title} sx={{ mt: 0.5, fontSize: 14 }}>
          {recipe.title}, {recipe.amount}: {recipe.lead}
          {recipe.lacks.map((lack) => (
            <VerdictLine key={lack} level="look" lead="Lacking.">
              {lack}
            </VerdictLine>
          ))}
        </Box>
      ))}
    </Sheet>
  );
}
