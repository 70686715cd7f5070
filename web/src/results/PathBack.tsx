import Box from '@mui/material/Box';
import type { Shapes } from '../api/client';
import { Figure } from '../identity/Figure';
import { FIGURES, ink } from '../identity/tokens';

/** From what was measured back to the sample: the readings and quantities of one trial, one after the other. */
export function PathBack({ evaluation, colour }: { evaluation: Shapes['Evaluation']; colour: string }) {
  const trial = evaluation.trials.findLast((trial) =>
    trial.quantities.some((q) => q.key === evaluation.path[0]),
  );
  if (!trial) return null;
  const known = [...trial.readings, ...trial.quantities];
  const stations = evaluation.path.flatMap((key) => known.findLast((station) => station.key === key) ?? []);
  if (stations.length < 2) return null;
  return (
    <Box>
      <Box component="h3" sx={{ fontSize: 13, color: ink.inkSoft, m: 0, mb: 1 }}>
        The way back to the sample
      </Box>
      <Box
        component="ol"
        sx={{ m: 0, p: 0, listStyle: 'none', display: 'flex', flexWrap: 'wrap', gap: 0.75 }}
      >
        {stations.map((station, place) => (
          <Box component="li" key={station.key} sx={{ display: 'flex', alignItems: 'center', gap: 0.75 }}>
            {place > 0 && (
              <span aria-hidden style={{ color: ink.inkSoft }}>
                →
              </span>
            )}
            <Station {...station} colour={colour} />
          </Box>
        ))}
      </Box>
    </Box>
  );
}

function Station({ label, shown, colour }: { label: string; shown: Shapes['Shown']; colour: string }) {
  return (
    <Box
      sx={{
        border: `1.5px solid ${ink.rule}`,
        borderLeft: `4px solid ${colour}`,
        borderRadius: 1,
        px: 1,
        py: 0.25,
      }}
    >
      <Box sx={{ fontSize: 12, color: ink.inkSoft }}>{label}</Box>
      <Figure text={shown.text} doubtful={shown.doubtful} />{' '}
      <span style={{ fontFamily: FIGURES, fontSize: 13, color: ink.inkSoft }}>{shown.unit}</span>
    </Box>
  );
}
