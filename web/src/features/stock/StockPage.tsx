import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { type Shapes } from '../../api/client';
import { useMe, useRetire, useStock } from '../../api/hooks';
import { ChartView } from '../../charts/ChartView';
import { Columns } from '../../identity/Columns';
import { Heading } from '../../identity/Heading';
import { NotDone } from '../../identity/NotDone';
import { Loaded, Page } from '../../identity/Page';
import { Pairs } from '../../identity/Pairs';
import { Sheet } from '../../identity/Sheet';
import { day } from '../../time/time';
import { accent, FIGURES } from '../../identity/tokens';
import { Signals } from '../history/Signals';
import { Item } from './Item';
import { OwnInstruments } from './OwnInstruments';
import { Pieces } from './Pieces';
import { Shelf } from './Shelf';
import { useShelf } from './useShelf';

/** What the department has: bottles, pieces, its own instruments, what sessions calibrated and standardised. */
export function StockPage() {
  const stock = useStock();
  return (
    <Page>
      <Heading
        colour={accent('solutions')}
        title="Stockroom"
        below="What is there to work and to prepare with, and what sessions found."
      />
      <Loaded of={stock}>
        {(data) => (
          <Columns>
            <OnShelf />
            <Own stock={data} />
          </Columns>
        )}
      </Loaded>
    </Page>
  );
}

function OnShelf() {
  return (
    <Loaded of={useShelf()}>
      {(shelf) => (
        <Box sx={{ display: 'grid', gap: 3 }}>
          <Shelf shelf={shelf} />
          <Pieces pieces={shelf.pieces} />
        </Box>
      )}
    </Loaded>
  );
}

function Own({ stock }: { stock: Shapes['Stock'] }) {
  const retire = useRetire();
  const mine = useMe().data?.role === 'instructor';
  const out = (kind: 'calibrations' | 'solutions' | 'instruments', item: number) =>
    mine && (
      <Button size="small" onClick={() => retire.mutate({ kind, item })}>
        Take out
      </Button>
    );
  return (
    <Box sx={{ display: 'grid', gap: 3 }}>
      <OwnInstruments
        instruments={stock.instruments}
        mine={mine}
        action={(item) => out('instruments', item)}
      />
      <NotDone lead="Not done." error={retire.error} />
      <Sheet title="Calibrated instruments">
        {stock.calibrations.length === 0 &&
          'None yet. A bench that has calibrated a pipette offers it at the end of its report.'}
        {stock.calibrations.map((calibration) => (
          <Item
            key={calibration.id}
            title={calibration.name}
            below={`${calibration.base} · ${calibration.source}`}
            action={out('calibrations', calibration.id)}
          >
            <Pairs rows={calibration.points.map(({ label, text }) => [label, text])} />
          </Item>
        ))}
      </Sheet>
      <Sheet title="Standardised solutions">
        {stock.solutions.length === 0 &&
          'None yet. A bench whose standardisation agrees offers its titrant at the end of its report.'}
        {stock.solutions.map((solution) => (
          <Item
            key={solution.id}
            title={solution.name}
            below={`${solution.solution} · ${solution.source} · kept ${day(solution.found_at)}`}
            action={out('solutions', solution.id)}
          >
            <span style={{ fontFamily: FIGURES, fontSize: 18 }}>
              {solution.concentration} ± {solution.limit} {solution.unit}
            </span>
          </Item>
        ))}
      </Sheet>
      {stock.over_time.length > 0 && (
        <Sheet title="Measured again and again">
          {stock.over_time.map((drift) => (
            <Item key={drift.name} title={drift.name} below="" action={null}>
              <ChartView chart={drift.chart} colour={accent('solutions')} />
              <Signals of={drift.signals} />
            </Item>
          ))}
        </Sheet>
      )}
    </Box>
  );
}
