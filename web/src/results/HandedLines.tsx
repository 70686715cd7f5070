import Box from '@mui/material/Box';
import type { Shapes } from '../api/client';
import { FIGURES, ink } from '../identity/tokens';

/** Numbers of the plan that earlier work found: what they are, and where they come from. */
export function HandedLines({ handed }: { handed: Shapes['HandedOut'][] }) {
  if (handed.length === 0) return null;
  return (
    <Box component="section" aria-label="Found before" sx={{ display: 'grid', gap: 0.5, fontSize: 14 }}>
      {handed.map((handing, place) => (
        <Box key={handing.key}>
          <Box sx={{ display: 'flex', justifyContent: 'space-between', gap: 1 }}>
            <span>{handing.label}</span>
            <span
              style={{
                fontFamily: FIGURES,
                whiteSpace: 'nowrap',
                color: handing.why ? ink.inkSoft : ink.ink,
              }}
            >
              {handing.text}
            </span>
          </Box>
          {handed[place + 1]?.origin !== handing.origin && (
            <Box sx={{ color: ink.inkSoft }}>
              {handing.why ? `planned; ${handing.origin}: ${handing.why}` : handing.origin}
            </Box>
          )}
        </Box>
      ))}
    </Box>
  );
}
