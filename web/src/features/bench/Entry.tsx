import Box from '@mui/material/Box';
import type { KeyboardEvent, RefObject } from 'react';
import { Figure } from '../../identity/Figure';
import { FIGURES } from '../../identity/tokens';

interface Props {
  field: RefObject<HTMLInputElement | null>;
  text: string;
  colour: string;
  label: string;
  onChange: (text: string) => void;
  onKeyDown: (event: KeyboardEvent) => void;
}

const LETTERING = { fontFamily: FIGURES, fontSize: 56, fontWeight: 700, lineHeight: 1.5 } as const;

/** What is being typed, its last digit doubtful as everywhere: the field writes in clear over the figure. */
export function Entry({ field, text, colour, label, onChange, onKeyDown }: Props) {
  return (
    <Box sx={{ position: 'relative', minWidth: 0, flex: '0 1 auto', overflow: 'hidden' }}>
      <Box aria-hidden sx={{ ...LETTERING, position: 'absolute', inset: 0, whiteSpace: 'pre' }}>
        <Figure text={text} doubtful={text.includes('.') || text.includes(',') ? 1 : 0} />
      </Box>
      <input
        ref={field}
        value={text}
        onChange={(event) => onChange(event.target.value)}
        onKeyDown={onKeyDown}
        inputMode="none"
        autoComplete="off"
        maxLength={40}
        aria-label={label}
        style={{
          ...LETTERING,
          position: 'relative',
          display: 'block',
          width: `calc(${Math.max(text.length, 1)}ch + 8px)`,
          maxWidth: '100%',
          border: 0,
          outline: 0,
          background: 'transparent',
          color: 'transparent',
          caretColor: colour,
          padding: 0,
        }}
      />
    </Box>
  );
}
