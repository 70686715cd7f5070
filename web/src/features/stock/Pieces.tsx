import Box from '@mui/material/Box';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { type Shapes } from '../../api/client';
import { Folded } from '../../identity/Folded';
import { NotDone } from '../../identity/NotDone';
import { Sheet } from '../../identity/Sheet';
import { FIGURES, ink } from '../../identity/tokens';
import { useShelfChange } from './useShelf';

type Piece = Shapes['PieceOut'];

/** How many there are of each instrument, and where; by kind. What nobody counted is taken as there. */
export function Pieces({ pieces }: { pieces: Piece[] }) {
  const kinds = [...new Set(pieces.map((piece) => piece.kind))];
  const counted = pieces.filter((piece) => piece.pieces !== null);
  return (
    <Sheet title="Counted" note={`${counted.length} of ${pieces.length} kinds of piece`}>
      <Box sx={{ color: ink.inkSoft, fontSize: 14 }}>
        What is not counted is taken as there. Sessions at the same time are counted together.
      </Box>
      {counted.map((piece) => (
        <Count key={piece.slug} piece={piece} />
      ))}
      {kinds.map((kind) => (
        <Folded key={kind} title={`Count: ${kind}`}>
          {pieces
            .filter((piece) => piece.kind === kind && piece.pieces === null)
            .map((piece) => (
              <Count key={piece.slug} piece={piece} />
            ))}
        </Folded>
      ))}
    </Sheet>
  );
}

function Count({ piece }: { piece: Piece }) {
  const [text, setText] = useState(piece.pieces === null ? '' : String(piece.pieces));
  const [place, setPlace] = useState(piece.place);
  const { count } = useShelfChange();
  const keep = () => {
    const pieces = text.trim() === '' ? null : Number(text);
    if (pieces !== piece.pieces || place !== piece.place)
      count.mutate({ slug: piece.slug, body: { pieces, place } });
  };
  return (
    <Box sx={{ py: 0.75, borderBottom: `1px solid ${ink.ruleSoft}` }}>
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: 'minmax(0, 1fr) 84px 128px',
          gap: 1,
          alignItems: 'center',
        }}
      >
        <span>
          {piece.name}
          <Box component="span" sx={{ display: 'block', color: ink.inkSoft, fontSize: 12.5 }}>
            {piece.basis}
          </Box>
        </span>
        <TextField
          size="small"
          label="Pieces"
          value={text}
          onChange={(event) => setText(event.target.value)}
          onBlur={keep}
          slotProps={{
            htmlInput: {
              inputMode: 'numeric',
              'aria-label': `Pieces: ${piece.name}`,
              style: { fontFamily: FIGURES },
            },
          }}
        />
        <TextField
          size="small"
          label="Where"
          value={place}
          onChange={(event) => setPlace(event.target.value)}
          onBlur={keep}
        />
      </Box>
      <NotDone lead="Not counted." error={count.error} />
    </Box>
  );
}
