import Box from '@mui/material/Box';
import { Link } from 'react-router';
import { BesideSamples } from '../../results/BesideSamples';
import { Pictures } from '../../sessions/Pictures';
import { TakePhoto } from '../../sessions/TakePhoto';
import { FIGURES, ink } from '../../identity/tokens';
import type { Draft } from '../../queue/store';
import type { Bench } from './hand';

interface Props {
  bench: Bench;
  pending: Draft[];
  open: boolean;
  onPhoto: (caption: string, image: string) => void;
}

/** What the plan lets one expect: to hold beside what is read. */
export function Expected({ bench }: { bench: Bench }) {
  if (!bench.targets.length) return null;
  return (
    <Box component="section" sx={{ mt: 2.5, display: 'grid', gap: 0.75 }}>
      <Box component="h3" sx={{ fontSize: 13, color: ink.inkSoft, m: 0 }}>
        From the plan
      </Box>
      {bench.targets.map((target) => (
        <Box
          key={target.label}
          sx={{ fontSize: 14, display: 'grid', gridTemplateColumns: '1fr auto', columnGap: 1.5 }}
        >
          <span>{target.label}</span>
          <Box component="span" sx={{ fontFamily: FIGURES, fontWeight: 700, whiteSpace: 'nowrap' }}>
            {target.text}
          </Box>
          {target.why && <span style={{ color: ink.inkSoft, gridColumn: '1 / -1' }}>{target.why}</span>}
        </Box>
      ))}
    </Box>
  );
}

/** Of a bench with several samples: this one's results beside the others'. */
export function BesideOthers({ bench }: { bench: Bench }) {
  if (bench.beside.length === 0) return null;
  return (
    <Box component="section" sx={{ mt: 2.5, display: 'grid', gap: 0.75 }}>
      <Box component="h3" sx={{ fontSize: 13, color: ink.inkSoft, m: 0 }}>
        Beside the other samples
      </Box>
      <BesideSamples of={bench.beside} />
    </Box>
  );
}

/** What is on the record besides readings: notes and pictures. */
export function OnRecord({ bench, pending, open, onPhoto }: Props) {
  const notes = bench.talk.filter((line) => line.kind === 'note');
  const photos = bench.talk.filter((line) => line.photo);
  const waiting = pending.filter((draft) => draft.key === 'photo').length;
  return (
    <Box component="section" sx={{ mt: 2.5, display: 'grid', gap: 1 }}>
      <Box component="h3" sx={{ fontSize: 13, color: ink.inkSoft, m: 0 }}>
        Also on the record
      </Box>
      {notes.map((note) => (
        <Box key={note.id} sx={{ fontSize: 14 }}>
          {note.text} <span style={{ color: ink.inkSoft }}>{note.author}</span>
        </Box>
      ))}
      <Pictures bench={bench.id} pictures={photos} />
      {waiting > 0 && (
        <i style={{ color: ink.inkSoft }}>
          {waiting === 1 ? 'A picture is' : `${waiting} pictures are`} kept here and on the way.
        </i>
      )}
      {open && <Link to={`/benches/${bench.id}/import`}>Readings from a table or a file</Link>}
      {open && (
        <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center', flexWrap: 'wrap' }}>
          <TakePhoto of="Photo" label="Add a photo" onTake={onPhoto} />
          <span style={{ fontSize: 13.5, color: ink.inkSoft }}>The work, no faces.</span>
        </Box>
      )}
    </Box>
  );
}
