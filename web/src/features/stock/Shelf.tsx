import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { type Shapes } from '../../api/client';
import { dotted } from '../../identity/dotted';
import { Sheet } from '../../identity/Sheet';
import { FIGURES, ink } from '../../identity/tokens';
import { StateTag } from '../../identity/Verdict';
import { BottleForm } from './BottleForm';
import { Item } from './Item';
import { useShelfChange } from './useShelf';
import { NotDone } from '../../identity/NotDone';

/** The bottles that are there: recipes are made from them. */
export function Shelf({ shelf }: { shelf: Shapes['ShelfOut'] }) {
  const [written, setWritten] = useState<Shapes['BottleOut'] | 'new' | null>(null);
  const { take } = useShelfChange();
  return (
    <Sheet title="On the shelf" note={`${shelf.bottles.length} bottles`}>
      <NotDone lead="Not done." error={take.error} />
      {written === 'new' ? (
        <BottleForm known={shelf.known} bottle={null} onDone={() => setWritten(null)} />
      ) : (
        <Button variant="outlined" onClick={() => setWritten('new')}>
          A bottle more
        </Button>
      )}
      {shelf.bottles.map((bottle) =>
        written !== 'new' && written?.id === bottle.id ? (
          <BottleForm key={bottle.id} known={shelf.known} bottle={bottle} onDone={() => setWritten(null)} />
        ) : (
          <Kept
            key={bottle.id}
            bottle={bottle}
            onChange={() => setWritten(bottle)}
            onTake={() => take.mutate(bottle.id)}
          />
        ),
      )}
      {shelf.bottles.length === 0 && (
        <Box sx={{ mt: 1, color: ink.inkSoft }}>
          Nothing yet: recipes are worked from what is usually bought, and everything is on the shopping list.
        </Box>
      )}
    </Sheet>
  );
}

type KeptProps = { bottle: Shapes['BottleOut']; onChange: () => void; onTake: () => void };

function Kept({ bottle, onChange, onTake }: KeptProps) {
  return (
    <Item
      title={`${bottle.name}, ${bottle.strong}`}
      below={dotted(bottle.shown, bottle.place, bottle.until && `until ${bottle.until}`)}
      action={
        <Box sx={{ display: 'flex', flexShrink: 0 }}>
          <Button size="small" onClick={onChange}>
            Change
          </Button>
          <Button size="small" onClick={onTake}>
            Take off
          </Button>
        </Box>
      }
    >
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'center' }}>
        <span style={{ fontFamily: FIGURES }}>{bottle.amount}</span>
        {bottle.past && <StateTag level="look" word="past its date" />}
      </Box>
    </Item>
  );
}
