import Box from '@mui/material/Box';
import type { Shapes } from '../../api/client';
import { Folded } from '../../identity/Folded';
import { day } from '../../time/time';
import { ink } from '../../identity/tokens';

/** Who did what with this session, the latest first. */
export function Log({ plan }: { plan: Shapes['SessionPlan'] }) {
  if (plan.log.length === 0) return null;
  return (
    <Folded title="Who did what">
      {plan.log.map((line, at) => (
        <Box key={at} sx={{ display: 'grid', gridTemplateColumns: '150px 1fr', py: 0.25 }}>
          <Box sx={{ color: ink.inkSoft }}>{day(line.at)}</Box>
          <span>
            {line.who} {line.what}
          </span>
        </Box>
      ))}
    </Folded>
  );
}
