import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useState } from 'react';
import { KeyCap } from '../../identity/KeyCap';
import { TextInput } from '../../identity/TextInput';

export type Asking = 'call' | 'note' | 'reject' | 'keys' | null;

const LONGEST_SAID = 1000; // what the server takes

const WORDS = {
  call: {
    title: 'Call for help',
    label: 'What is the matter?',
    send: 'Call',
    usual: 'Please come and look.',
  },
  note: {
    title: 'Note what you see',
    label: 'Colour, gas, solid, smell of nothing but air…',
    send: 'Keep note',
    usual: '',
  },
  reject: { title: 'Reject this trial', label: 'What went wrong?', send: 'Reject trial', usual: '' },
} as const;

interface Props {
  asking: Asking;
  trial: string;
  onClose: () => void;
  onSay: (what: 'call' | 'note' | 'reject', text: string) => void;
}

/** The few things a bench says in words. */
export function BenchDialogs({ asking, trial, onClose, onSay }: Props) {
  if (asking === null) return null;
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="xs">
      {asking === 'keys' ? (
        <Keys onClose={onClose} />
      ) : (
        <Say what={asking} trial={trial} onClose={onClose} onSay={onSay} />
      )}
    </Dialog>
  );
}

function Say({ what, trial, onClose, onSay }: Omit<Props, 'asking'> & { what: 'call' | 'note' | 'reject' }) {
  const words = WORDS[what];
  const [text, setText] = useState<string>(words.usual);
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        if (text.trim()) onSay(what, text.trim());
      }}
    >
      <DialogTitle>{what === 'reject' && trial ? `Reject ${trial.toLowerCase()}` : words.title}</DialogTitle>
      <DialogContent>
        {what === 'reject' && <p>It stays on the record, struck through, and is never averaged.</p>}
        <TextInput
          multiline
          maxRows={4}
          label={words.label}
          value={text}
          onChange={(event) => setText(event.target.value)}
          sx={{ mt: 1 }}
          longest={LONGEST_SAID}
          onFocus={(event) => event.target.select()}
        />
      </DialogContent>
      <DialogActions sx={{ px: 3, pb: 2 }}>
        <Button onClick={onClose}>Back</Button>
        <Button type="submit" variant="contained" disabled={!text.trim()}>
          {words.send}
        </Button>
      </DialogActions>
    </form>
  );
}

const KEYS = [
  ['0–9 . Enter', 'write a reading, keep it and go on'],
  ['R', 'reject this trial'],
  ['O', 'note what you see'],
  ['H', 'call for help'],
  ['?', 'show these keys'],
  ['Tab', 'go through everything else'],
] as const;

function Keys({ onClose }: { onClose: () => void }) {
  return (
    <>
      <DialogTitle>Keys</DialogTitle>
      <DialogContent>
        {KEYS.map(([key, what]) => (
          <p key={key} style={{ margin: '6px 0' }}>
            <KeyCap>{key}</KeyCap> {what}
          </p>
        ))}
        <p>Letters work while the field is empty.</p>
      </DialogContent>
      <DialogActions sx={{ px: 3, pb: 2 }}>
        <Button variant="contained" onClick={onClose} autoFocus>
          Back to the bench
        </Button>
      </DialogActions>
    </>
  );
}
