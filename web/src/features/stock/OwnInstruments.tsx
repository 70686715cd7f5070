import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState, type ReactNode } from 'react';
import type { Shapes } from '../../api/client';
import { Sheet } from '../../identity/Sheet';
import { InstrumentForm } from './InstrumentForm';
import { Item } from './Item';

interface Props {
  instruments: Shapes['OwnInstrumentOut'][];
  mine: boolean;
  action: (item: number) => ReactNode;
}

/** Instruments that the catalogue does not have: a scale, decimals and a tolerance of their own. */
export function OwnInstruments({ instruments, mine, action }: Props) {
  const [adding, setAdding] = useState(false);
  return (
    <Sheet title="Instruments of your own">
      {instruments.length === 0 &&
        !adding &&
        'None yet. A meter with another range, a pipette with marks of your own: what you add here can be chosen in every plan.'}
      {instruments.map(({ id, base, tool }) => (
        <Item key={id} title={tool.short} below={`${scaleOf(tool)} · like ${base}`} action={action(id)}>
          {toleranceOf(tool)}
        </Item>
      ))}
      {adding ? (
        <InstrumentForm onDone={() => setAdding(false)} />
      ) : (
        mine && (
          <Box sx={{ mt: 1.5 }}>
            <Button variant="outlined" onClick={() => setAdding(true)}>
              Add an instrument
            </Button>
          </Box>
        )
      )}
    </Sheet>
  );
}

/** “0 to 10 mL, in steps of 0.05”. */
const scaleOf = ({ low, high, graduation, unit }: Shapes['Instrument']) =>
  low === high ? `${high} ${unit}` : `${low} to ${high} ${unit}, in steps of ${graduation}`;

const toleranceOf = (tool: Shapes['Instrument']) =>
  tool.errors.find((term) => term.kind === 'tolerance')?.basis ?? tool.basis;
