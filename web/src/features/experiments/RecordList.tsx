import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { useState } from 'react';
import type { Shapes } from '../../api/client';
import { ink } from '../../identity/tokens';
import { entries, type Entry } from './draft';
import { recordOf, useWorkshop, type Record_ } from './fields';
import { RecordCard } from './RecordCard';

interface Props {
  field: Shapes['FieldOut'];
  value: unknown;
  onChange: (value: Entry[]) => void;
}

/** Records in their order, each folded to a line; one is open at a time. */
export function RecordList({ field, value, onChange }: Props) {
  const workshop = useWorkshop();
  const [open, setOpen] = useState<number | null>(null);
  const all = entries(value);
  const [use = ''] = field.of;
  const kinds =
    field.kind === 'word'
      ? workshop.vocabulary.filter((record) => record.use === use)
      : workshop.vocabulary.filter((record) => record.name === use);
  const put = (at: number, entry: Entry) => onChange(all.map((old, place) => (place === at ? entry : old)));
  const move = (at: number, by: number) => {
    const order = [...all];
    const [moved] = order.splice(at, 1);
    if (moved) order.splice(at + by, 0, moved);
    onChange(order);
    setOpen(null);
  };
  return (
    <Box>
      {all.map((entry, at) => (
        <RecordCard
          key={at}
          record={recordOf(workshop, field.kind === 'word' ? String(entry.kind) : use)}
          entry={entry}
          open={open === at}
          onOpen={() => setOpen(open === at ? null : at)}
          onChange={(next) => put(at, next)}
          onUp={at > 0 ? () => move(at, -1) : undefined}
          onDown={at < all.length - 1 ? () => move(at, 1) : undefined}
          onRemove={() => {
            onChange(all.filter((_, place) => place !== at));
            setOpen(null);
          }}
        />
      ))}
      {all.length === 0 && <Box sx={{ color: ink.inkSoft, fontSize: 14, mb: 1 }}>None yet.</Box>}
      <Add
        kinds={kinds}
        onAdd={(record) => {
          onChange([...all, record.start]);
          setOpen(all.length);
        }}
      />
    </Box>
  );
}

/** One kind is added at once; of several one is chosen, with what it is for. */
function Add({ kinds, onAdd }: { kinds: Record_[]; onAdd: (record: Record_) => void }) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const [only] = kinds;
  if (kinds.length === 1 && only)
    return (
      <Button variant="outlined" onClick={() => onAdd(only)} sx={{ mt: 1 }}>
        Add {article(only.label)}
      </Button>
    );
  return (
    <>
      <Button
        variant="outlined"
        aria-haspopup="menu"
        onClick={(event) => setAnchor(event.currentTarget)}
        sx={{ mt: 1 }}
      >
        Add …
      </Button>
      <Menu anchorEl={anchor} open={anchor !== null} onClose={() => setAnchor(null)}>
        {kinds.map((kind) => (
          <MenuItem
            key={kind.name}
            onClick={() => {
              onAdd(kind);
              setAnchor(null);
            }}
            sx={{ display: 'block', whiteSpace: 'normal', maxWidth: 560 }}
          >
            <Box sx={{ fontWeight: 700 }}>{kind.label}</Box>
            <Box sx={{ fontSize: 13.5, color: ink.inkSoft }}>{kind.help}</Box>
          </MenuItem>
        ))}
      </Menu>
    </>
  );
}

const article = (label: string) => `${/^[aeiou]/i.test(label) ? 'an' : 'a'} ${label.toLowerCase()}`;
