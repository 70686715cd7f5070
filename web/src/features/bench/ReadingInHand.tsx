import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import useMediaQuery from '@mui/material/useMediaQuery';
import { FIGURES, ink } from '../../identity/tokens';
import { VerdictLine } from '../../identity/Verdict';
import { Drawn } from '../../instruments/Drawn';
import { Entry } from './Entry';
import { Keypad } from './Keypad';
import { partOf } from './hand';
import { Reason } from './Reason';
import { Settling } from './Settling';
import { Stopwatch } from './Stopwatch';
import { TakeFromDevice } from './TakeFromDevice';
import { useReading, type Reading, type ReadingProps } from './useReading';

const LAYOUT = {
  display: 'grid',
  gap: { xs: 1.5, md: 3 },
  gridTemplateColumns: { xs: 'minmax(0,1fr) 92px', sm: 'minmax(0, 1fr) minmax(180px, 230px)' },
  alignItems: 'start',
} as const;

/** The reading in hand: what to read, the entry field, its verdict in one line, the drawn instrument. */
export function ReadingInHand(props: ReadingProps) {
  const reading = useReading(props);
  const narrow = useMediaQuery('(max-width: 599px)');
  const { colour } = props;
  return (
    <Box sx={LAYOUT}>
      <Box sx={{ display: 'grid', gap: 1.5, gridColumn: { xs: '1 / -1', sm: 1 }, gridRow: 1 }}>
        <Written {...props} reading={reading} />
        <Judged reading={reading} online={props.online} />
        {reading.corrected && <Reason value={reading.reason} onChange={reading.setReason} />}
      </Box>
      <Box sx={{ gridColumn: 1, gridRow: 2 }}>
        <Keypad
          onKey={reading.type}
          onErase={reading.erase}
          onKeep={reading.keep}
          keepLabel={reading.corrected ? 'Keep correction' : 'Keep reading'}
          disabled={!reading.ready}
          sign={reading.sign}
        />
      </Box>
      <Box sx={{ gridColumn: 2, gridRow: { xs: 2, sm: '1 / span 2' } }}>
        {reading.tool && <Drawn tool={reading.tool} text={reading.text} colour={colour} narrow={narrow} />}
      </Box>
    </Box>
  );
}

type WrittenProps = ReadingProps & { reading: Reading };

/** What to read, what stood there before, and the field; a stopwatch runs beside it. */
function Written({ bench, task, colour, online, reading }: WrittenProps) {
  const { corrected, unit, tool } = reading;
  const settles = corrected ? 0 : (partOf(bench, task.key)?.settles ?? 0);
  return (
    <>
      <Box sx={{ color: ink.inkSoft, minHeight: { sm: settles ? 0 : 63 } }}>{task.detail}</Box>
      {settles > 0 && <Settling seconds={settles} />}
      {corrected && (
        <Box>
          Written there now: <s style={{ fontFamily: FIGURES }}>{corrected.text}</s>. The old value stays
          readable.
        </Box>
      )}
      <Box onClick={() => reading.field.current?.focus()} sx={{ ...FRAME, border: `2px solid ${colour}` }}>
        <Entry
          field={reading.field}
          text={reading.text}
          colour={colour}
          label={`${task.title}${unit ? `, in ${unit}` : ''}`}
          onChange={reading.setText}
          onKeyDown={reading.onKeyDown}
        />
        <Box component="span" sx={{ fontSize: 24, color: ink.inkSoft }}>
          {unit}
        </Box>
      </Box>
      {tool?.digital && online && (
        <TakeFromDevice bench={bench.id} reading={task.key} kind={tool.kind} onTake={reading.take} />
      )}
      {tool?.kind === 'stopwatch' && (
        <Stopwatch
          place={`stopwatch/${bench.id}/${task.key}/${task.trial}/${task.index}`}
          decimals={tool.decimals}
          colour={colour}
          onStop={reading.setText}
        />
      )}
    </>
  );
}

const FRAME = {
  display: 'flex',
  cursor: 'text',
  alignItems: 'baseline',
  gap: 1,
  px: 2,
  py: 0.5,
  bgcolor: ink.sheet,
  borderRadius: 2.5,
  minHeight: 84,
  '&:focus-within': { boxShadow: `0 0 0 3px ${ink.liquid}` },
};

/** What is expected before anything is typed; then what it is worth. */
function Judged({ reading, online }: { reading: Reading; online: boolean }) {
  const { text, setText, tool, unit, verdict, offer } = reading;
  if (!text && offer) return <Offer {...offer} onTake={() => setText(offer.text)} />;
  if (!text) return tool ? <Expected decimals={tool.decimals} unit={unit} /> : null;
  return (
    <>
      {verdict && (
        <VerdictLine level={verdict.level} lead={verdict.lead} steady>
          {verdict.text}
          {verdict.suggest && (
            <Button size="small" variant="outlined" sx={{ ml: 1 }} onClick={() => setText(verdict.suggest)}>
              Write {verdict.suggest}
            </Button>
          )}
        </VerdictLine>
      )}
      {!online && (
        <VerdictLine level="look" lead="No network.">
          Keep it: it stays on this device and is checked when the network is back.
        </VerdictLine>
      )}
    </>
  );
}

/** What may be written with one touch. It is as high as what is said of a number, so that the keys stay under the finger. */
function Offer({ text, why, onTake }: { text: string; why: string; onTake: () => void }) {
  return (
    <Box sx={{ minHeight: 62 }}>
      <Button variant="outlined" onMouseDown={(event) => event.preventDefault()} onClick={onTake}>
        {why}: {text} (Enter)
      </Button>
    </Box>
  );
}

function Expected({ decimals, unit }: { decimals: number; unit: string }) {
  return (
    <Box sx={{ color: ink.inkSoft, fontSize: 14, minHeight: 62 }}>
      {decimals === 0 ? 'No decimals' : decimals === 1 ? 'One decimal' : `${decimals} decimals`}
      {unit && `, in ${unit}`}.{decimals > 0 && ' A zero at the end counts: write it.'}
    </Box>
  );
}
