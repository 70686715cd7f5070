import { styled } from '@mui/material/styles';
import { FIGURES, ink } from './tokens';

/** A key of the keyboard, as named in hints. */
export const KeyCap = styled('kbd')({
  fontFamily: FIGURES,
  fontSize: 12.5,
  fontWeight: 700,
  padding: '1px 7px',
  borderRadius: 5,
  border: `1px solid ${ink.rule}`,
  borderBottomWidth: 2.5,
  background: ink.sheet,
  color: ink.ink,
});
