import Box from '@mui/material/Box';

interface ProgressProps {
  done: number;
  of: number;
  colour: string;
}

/** How much is done, as a mark for each task. */
export function Progress({ done, of, colour }: ProgressProps) {
  return (
    <Box
      role="img"
      aria-label={`${done} of ${of} done`}
      sx={{ display: 'flex', alignItems: 'center', gap: 0.75 }}
    >
      {Array.from({ length: of }, (_, place) => (
        <Box
          key={place}
          sx={{
            width: 26,
            height: 10,
            borderRadius: 99,
            border: `1.5px solid ${colour}`,
            bgcolor: place < done ? colour : 'transparent',
          }}
        />
      ))}
      <Box sx={{ fontWeight: 700, ml: 0.5, whiteSpace: 'nowrap' }}>
        {done} of {of}
      </Box>
    </Box>
  );
}
