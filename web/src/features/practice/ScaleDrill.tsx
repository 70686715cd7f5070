import Box from '@mui/material/Box';
import { Drawn } from '../../instruments/Drawn';
import { Loaded } from '../../identity/Page';
import { Answer } from './Answer';
import { useDrill } from './usePractice';

/** An instrument that stands somewhere: what does it show? */
export function ScaleDrill({ slug, colour }: { slug: string; colour: string }) {
  const drill = useDrill('scales', slug);
  return (
    <Loaded of={drill.task}>
      {({ instrument, at }) => (
        <Box sx={SIDE_BY_SIDE}>
          <Box sx={{ maxWidth: 300 }}>
            <Drawn tool={instrument} text={String(at)} colour={colour} silent />
          </Box>
          <Box sx={{ display: 'grid', gap: 2 }}>
            <Box sx={{ fontSize: 19, fontWeight: 700 }}>What does it show?</Box>
            <Answer key={at} drill={drill} label={`Reading, ${instrument.unit}`} button="Read" digits />
            <Box sx={{ fontSize: 14 }}>{instrument.how}</Box>
          </Box>
        </Box>
      )}
    </Loaded>
  );
}

const SIDE_BY_SIDE = {
  display: 'grid',
  gap: 3,
  gridTemplateColumns: { xs: '1fr', sm: '260px 1fr' },
  alignItems: 'start',
} as const;
