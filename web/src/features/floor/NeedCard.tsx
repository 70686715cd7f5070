import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import type { Shapes } from '../../api/client';
import { HandIcon } from '../../identity/Icons';
import { ago } from '../../time/time';
import { ink } from '../../identity/tokens';
import { STATES } from '../../identity/Verdict';

export interface Answering {
  seen: () => void;
  send: (words: string) => void;
  /** Voids the trial that the need is about; undefined when it is about none. */
  voidTrial?: (() => void) | undefined;
  busy: boolean;
}

/** One reason to walk over: what, why, the words to say, and what can be done from here. */
export function NeedCard({
  need,
  now,
  answering,
}: {
  need: Shapes['Need'];
  now: number;
  answering: Answering;
}) {
  const [writing, setWriting] = useState(false);
  const call = need.level === 'call';
  const state = need.level === 'call' ? { colour: ink.repeat, Icon: HandIcon } : STATES[need.level];
  const { seen, send, voidTrial, busy } = answering;
  return (
    <Box
      component="li"
      sx={{
        border: `1px solid ${state.colour}`,
        borderRadius: 2.5,
        bgcolor: ink.sheet,
        p: 1.5,
        display: 'grid',
        gap: 0.75,
      }}
    >
      <Box sx={{ display: 'flex', gap: 1, fontWeight: 700, fontSize: 15.5, lineHeight: 1.3 }}>
        <state.Icon sx={{ color: state.colour, fontSize: 20, flexShrink: 0, mt: 0.1 }} />
        Bench {need.bench} {need.level === 'call' ? '' : '· '}
        {need.what}
      </Box>
      <Box sx={{ color: ink.inkSoft, fontSize: 14, lineHeight: 1.4 }}>
        {need.text} <span style={{ whiteSpace: 'nowrap' }}>{ago(need.since, now)}</span>
      </Box>
      {need.word && (
        <Box
          sx={{
            bgcolor: ink.ground,
            borderLeft: `3px solid ${ink.link}`,
            px: 1.25,
            py: 0.75,
            fontSize: 14.5,
          }}
        >
          “{need.word}”
        </Box>
      )}
      {writing ? (
        <Message usual={need.word} onSend={send} onBack={() => setWriting(false)} />
      ) : (
        <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
          <Button variant="contained" disabled={busy} onClick={seen}>
            {call ? 'Coming' : 'I’m on it'}
          </Button>
          {voidTrial && (
            <Button variant="outlined" disabled={busy} onClick={voidTrial}>
              Void trial {need.trial}
            </Button>
          )}
          <Button variant="outlined" disabled={busy} onClick={() => setWriting(true)}>
            {call ? 'Answer' : 'Message'}
          </Button>
        </Box>
      )}
    </Box>
  );
}

function Message({
  usual,
  onSend,
  onBack,
}: {
  usual: string;
  onSend: (words: string) => void;
  onBack: () => void;
}) {
  const [text, setText] = useState(usual);
  return (
    <Box
      component="form"
      onSubmit={(event) => {
        event.preventDefault();
        if (text.trim()) onSend(text.trim());
      }}
      sx={{ display: 'grid', gap: 1 }}
    >
      <TextField
        autoFocus
        multiline
        maxRows={4}
        label="Message to the bench"
        slotProps={{ htmlInput: { maxLength: 1000 } }}
        value={text}
        onChange={(event) => setText(event.target.value)}
      />
      <Box sx={{ display: 'flex', gap: 1 }}>
        <Button type="submit" variant="contained" disabled={!text.trim()}>
          Send
        </Button>
        <Button onClick={onBack}>Back</Button>
      </Box>
    </Box>
  );
}
