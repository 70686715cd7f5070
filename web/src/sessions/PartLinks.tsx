import Box from '@mui/material/Box';
import { Link } from 'react-router';
import type { Shapes } from '../api/client';

interface Props {
  parts: Shapes['PartOf'][];
  here: number;
  /** Where a part is looked at. */
  to: (id: number) => string;
}

/** The sessions that belong together, in the order of the work; nothing where there is one. */
export function PartLinks({ parts, here, to }: Props) {
  if (parts.length < 2) return null;
  return (
    <Box
      component="nav"
      aria-label="Parts"
      sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', fontSize: 14 }}
    >
      {parts.map((part, place) =>
        part.id === here ? (
          <b key={part.id} aria-current="page">
            {place + 1} · {part.title}
          </b>
        ) : (
          <Link key={part.id} to={to(part.id)}>
            {place + 1} · {part.title}
          </Link>
        ),
      )}
    </Box>
  );
}
