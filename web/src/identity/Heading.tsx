import Box from '@mui/material/Box';
import type { ReactNode } from 'react';
import { asText, ink } from './tokens';

interface Props {
  /** The family's accent: the stripe at the left. */
  colour: string;
  above?: string;
  title: string;
  /** A line below, softly. */
  below?: ReactNode;
  actions?: ReactNode;
}

/** The head of a page: its family's stripe, its title, what can be done. */
export function Heading({ colour, above = '', title, below, actions }: Props) {
  return (
    <Box
      sx={{
        borderLeft: `6px solid ${colour}`,
        pl: 2,
        mb: 3,
        display: 'flex',
        justifyContent: 'space-between',
        alignItems: 'center',
        gap: 2,
        flexWrap: 'wrap',
      }}
    >
      <Box>
        {above && <Box sx={{ color: asText(colour), fontWeight: 700, fontSize: 14 }}>{above}</Box>}
        <Box component="h1" sx={{ m: 0, fontSize: 28, lineHeight: 1.2 }}>
          {title}
        </Box>
        <Box sx={{ color: ink.inkSoft }}>{below}</Box>
      </Box>
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>{actions}</Box>
    </Box>
  );
}
