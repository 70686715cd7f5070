import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import type { Shapes } from '../../api/client';
import { countdown } from '../../time/time';
import { asText, FIGURES, ink } from '../../identity/tokens';
import { useNow } from '../../time/useNow';

interface Props {
  step: Shapes['StepOut'];
  begun: number | null;
  colour: string;
  onStart: () => void;
}

/** A wait. Its start is on the record, so it goes on through sleep, reload and a change of device. */
export function StepTimer({ step, begun, colour, onStart }: Props) {
  const now = useNow(250);
  const left = begun === null ? step.wait_seconds : begun + step.wait_seconds - now / 1000;
  const over = begun !== null && left <= 0;
  return (
    <ButtonBase
      onClick={onStart}
      aria-label={begun === null ? `Start the timer: ${step.wait_label}` : `Start again: ${step.wait_label}`}
      sx={{
        display: 'flex',
        justifyContent: 'space-between',
        width: '100%',
        minHeight: 48,
        py: 0.5,
        px: 1.5,
        my: 0.5,
        borderRadius: 2,
        border: `1.5px solid ${over ? ink.keep : ink.rule}`,
        bgcolor: over ? ink.keepWash : ink.sheet,
        gap: 1,
      }}
    >
      <Box component="span" sx={{ fontSize: 13, fontWeight: 700, textAlign: 'left' }}>
        {over ? 'Time is up' : step.wait_label}
        <Box component="span" sx={{ display: 'block', fontWeight: 400, color: ink.inkSoft, fontSize: 12 }}>
          {begun === null ? 'touch to start' : 'touch to start again'}
        </Box>
      </Box>
      <Box
        component="span"
        sx={{ fontFamily: FIGURES, fontSize: 22, fontWeight: 700, color: over ? ink.keep : asText(colour) }}
      >
        {over ? '0:00' : countdown(left)}
      </Box>
    </ButtonBase>
  );
}
