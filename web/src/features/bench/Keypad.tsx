import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import { styled } from '@mui/material/styles';
import { EraseIcon } from '../../identity/Icons';
import { FIGURES, ink } from '../../identity/tokens';

const Key = styled(ButtonBase)({
  minHeight: 48,
  borderRadius: 9,
  border: `1px solid ${ink.rule}`,
  background: ink.ground,
  color: ink.ink,
  fontFamily: FIGURES,
  fontSize: 21,
  fontWeight: 700,
  '&:active': { background: ink.ruleSoft },
});

interface Props {
  onKey: (key: string) => void;
  onErase: () => void;
  onKeep: () => void;
  keepLabel: string;
  disabled: boolean;
  /** One more key, where this number may need it: a sign. */
  sign?: '-' | '±' | undefined;
}

const KEEP = {
  gridArea: 'kp',
  background: ink.deep,
  color: ink.onDeep,
  border: 0,
  fontFamily: 'inherit',
  fontSize: 16,
  lineHeight: 1.3,
  p: 1,
  '&.Mui-disabled': { opacity: 0.5 },
  '&:active': { background: ink.deep },
} as const;

/** Large keys for gloved hands; the same as typing. */
export function Keypad({ onKey, onErase, onKeep, keepLabel, disabled, sign }: Props) {
  const digit = (key: string, area: string) => (
    <Key key={key} onClick={() => onKey(key)} sx={{ gridArea: area }}>
      {key}
    </Key>
  );
  return (
    <Box
      onMouseDown={(event) => event.preventDefault()} // the field keeps the focus: who types on loses no digit
      sx={{
        display: 'grid',
        gap: 1,
        gridTemplateColumns: 'repeat(4, 1fr)',
        gridTemplateAreas:
          '"a7 a8 a9 er" "a4 a5 a6 kp" "a1 a2 a3 kp" ' + (sign ? '"a0 sg pt kp"' : '"a0 a0 pt kp"'),
      }}
    >
      {[...'789456123'].map((key) => digit(key, `a${key}`))}
      {digit('0', 'a0')}
      {sign && (
        <Key
          onClick={() => onKey(sign)}
          aria-label={sign === '-' ? 'minus' : 'plus or minus'}
          sx={{ gridArea: 'sg' }}
        >
          {sign === '-' ? '−' : sign}
        </Key>
      )}
      {digit('.', 'pt')}
      <Key onClick={onErase} aria-label="Erase the last digit" sx={{ gridArea: 'er' }}>
        <EraseIcon />
      </Key>
      <Key onClick={onKeep} disabled={disabled} sx={KEEP}>
        {keepLabel}
      </Key>
    </Box>
  );
}
