import Box from '@mui/material/Box';
import type { Shapes } from '../../api/client';
import { accent } from '../../identity/tokens';
import { SmallTile } from './SmallTile';
import { Tile } from './Tile';

const MANY = 16; // benches; more are shown small, so that the whole room is seen at once
const WIDE = 5; // places in a row; a wider room is shown small too

const CELL = { display: 'grid', minWidth: 0 };

/** The benches as they stand in the room, where that was said; else one after the other. */
export function RoomGrid({ floor, now, large }: { floor: Shapes['Floor']; now: number; large: boolean }) {
  const { benches, session, arrangement, unit } = floor;
  const small = benches.length > MANY || arrangement.columns > WIDE;
  const columns = arrangement.columns || (small ? 8 : 4);
  const placed = placesOf(benches, arrangement);
  const common = { colour: accent(session.family), large, closed: session.state === 'closed' };
  const samples =
    new Set(benches.map((bench) => bench.sample)).size > 1 &&
    benches.every((bench) => bench.samples.length === 0);
  return (
    <Box
      sx={{
        display: 'grid',
        gap: small ? 0.75 : 1.5,
        gridTemplateColumns: {
          xs: `repeat(auto-fill, minmax(${small ? 96 : 190}px, 1fr))`,
          md: `repeat(${columns}, minmax(0, 1fr))`,
        },
      }}
    >
      {benches.map((bench) => {
        const place = placed.get(bench.number);
        return (
          <Box
            key={bench.id}
            sx={{ ...CELL, gridRow: { md: place?.row }, gridColumn: { md: place?.column } }}
          >
            {small ? (
              <SmallTile bench={bench} {...common} />
            ) : (
              <Tile bench={bench} {...common} {...{ unit, now }} sample={samples} />
            )}
          </Box>
        );
      })}
    </Box>
  );
}

type Place = Pick<Shapes['Standing'], 'row' | 'column'>;

/** Where each bench goes; those of which nothing was said come behind the last row. */
export function placesOf(
  benches: Pick<Shapes['FloorBench'], 'number'>[],
  { columns, places }: Shapes['Arrangement'],
): Map<number, Place> {
  if (columns === 0) return new Map();
  const placed = new Map<number, Place>(places.map(({ bench, row, column }) => [bench, { row, column }]));
  const last = Math.max(...places.map((place) => place.row), 0);
  const rest = benches.filter((bench) => !placed.has(bench.number));
  rest.forEach(({ number }, at) =>
    placed.set(number, { row: last + 1 + Math.floor(at / columns), column: 1 + (at % columns) }),
  );
  return placed;
}
