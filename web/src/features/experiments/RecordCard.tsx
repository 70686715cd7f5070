import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { FIGURES, ink } from '../../identity/tokens';
import { nameOf, text, type Entry } from './draft';
import { useWorkshop, type Record_ } from './fields';

interface Props {
  record: Record_ | undefined;
  entry: Entry;
  open: boolean;
  onOpen: () => void;
  onChange: (entry: Entry) => void;
  onUp: (() => void) | undefined;
  onDown: (() => void) | undefined;
  onRemove: () => void;
}

/** A record as a line that opens to its fields. */
export function RecordCard({ record, entry, open, onOpen, onChange, onUp, onDown, onRemove }: Props) {
  const { Fields } = useWorkshop();
  const name = nameOf(entry) || record?.label || text(entry.kind);
  return (
    <Box sx={{ borderBottom: `1px solid ${ink.ruleSoft}`, py: 0.25 }}>
      <Box
        component="button"
        type="button"
        aria-expanded={open}
        onClick={onOpen}
        sx={{
          all: 'unset',
          boxSizing: 'border-box',
          cursor: 'pointer',
          width: '100%',
          minHeight: 44,
          display: 'flex',
          alignItems: 'baseline',
          gap: 1.5,
          py: 1,
          px: 0.5,
          borderRadius: 1,
          '&:hover': { bgcolor: ink.ground },
          '&:focus-visible': { outline: `3px solid ${ink.deep}`, outlineOffset: -2 },
        }}
      >
        <Box component="span" aria-hidden sx={{ color: ink.inkSoft, width: 14, flexShrink: 0 }}>
          {open ? '▾' : '▸'}
        </Box>
        <Box component="span" sx={{ fontWeight: 700, flexShrink: 0, maxWidth: '60%' }}>
          {name}
        </Box>
        <Box
          component="span"
          sx={{
            color: ink.inkSoft,
            fontSize: 14,
            fontFamily: FIGURES,
            overflow: 'hidden',
            textOverflow: 'ellipsis',
            whiteSpace: 'nowrap',
          }}
        >
          {gist(entry, record)}
        </Box>
      </Box>
      {open && record && (
        <Box sx={{ pl: 3, pr: 0.5, pb: 2 }}>
          <Box sx={{ color: ink.inkSoft, fontSize: 13.5, maxWidth: 640 }}>{record.help}</Box>
          <Fields record={record} entry={entry} onChange={onChange} />
          <Box sx={{ display: 'flex', gap: 1, mt: 1.5, flexWrap: 'wrap' }}>
            <Button disabled={!onUp} onClick={onUp}>
              Move up
            </Button>
            <Button disabled={!onDown} onClick={onDown}>
              Move down
            </Button>
            <Button onClick={onRemove} sx={{ ml: 'auto' }}>
              Remove
            </Button>
          </Box>
        </Box>
      )}
      {open && !record && (
        <Box sx={{ pl: 3, pb: 2, fontSize: 14 }}>
          Nobody knows this kind of record.{' '}
          <Button onClick={onRemove} sx={{ ml: 1 }}>
            Remove
          </Button>
        </Box>
      )}
    </Box>
  );
}

/** What a folded record says of itself: its formula, its key, or what it looks at. */
function gist(entry: Entry, record: Record_ | undefined): string {
  const key = text(entry.key);
  if (text(entry.formula)) return `${key || text(entry.quantity)} = ${text(entry.formula)}`;
  if (text(entry.unit) && key) return `${key}, ${text(entry.unit)}`;
  const names = (record?.fields ?? []).filter((field) => field.kind === 'name' && text(entry[field.name]));
  const named = names.map((field) => text(entry[field.name])).join(', ');
  return [key, named].filter(Boolean).join(' · ');
}
