import Button, { type ButtonProps } from '@mui/material/Button';
import { useState } from 'react';

interface Props extends Omit<ButtonProps, 'onClick' | 'children'> {
  ask: string;
  /** What it says after the first press: what will happen. */
  sure: string;
  onSure: () => void;
}

/** A button for what cannot be taken back: the first press says what will happen, the second does it. */
export function AskedTwice({ ask, sure, onSure, ...look }: Props) {
  const [asked, setAsked] = useState(false);
  return (
    <Button {...look} onClick={() => (asked ? onSure() : setAsked(true))}>
      {asked ? sure : ask}
    </Button>
  );
}
