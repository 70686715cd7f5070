import Box from '@mui/material/Box';
import type { Shapes } from '../api/client';
import { Figure } from './Figure';
import { FIGURES, ink } from './tokens';
import { STATES } from './Verdict';

type Cell = Shapes['PairCell'];

const edge = `1px solid ${ink.ruleSoft}`;
const frame = { border: edge, padding: 4, textAlign: 'center', verticalAlign: 'middle', height: 54 } as const;

interface Props {
  matrix: Shapes['PairMatrix'];
  colour: string;
  /** Written here, not sent yet. */
  waiting?: { trial?: number | null; text: string }[];
  /** Takes the reading of a pair in hand; without it the square is only looked at. */
  onChoose?: (trial: number) => void;
}

/** Pairs of metals as a square: measured above the diagonal, the standard value of the same pair below it. */
export function PairMatrix({ matrix, colour, waiting = [], onChoose }: Props) {
  const { metals, names, cells } = matrix;
  const small = metals.length > 5;
  const find = (row: string, column: string) =>
    cells.find((cell) => cell.plus === row && cell.minus === column);
  return (
    <Box component="figure" sx={{ m: 0, overflowX: 'auto' }}>
      <table style={{ borderCollapse: 'collapse', width: '100%', tableLayout: 'fixed' }}>
        <thead>
          <tr>
            <td style={{ fontSize: 12, color: ink.inkSoft, width: 48 }}>red ↓ black →</td>
            {metals.map((metal, at) => (
              <th key={metal} scope="col" title={names[at]} style={{ padding: 4 }}>
                {metal}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {metals.map((row, at) => (
            <tr key={row}>
              <th scope="row" title={names[at]} style={{ textAlign: 'left' }}>
                {row}
              </th>
              {metals.map((column) => {
                const above = find(row, column);
                const below = find(column, row);
                if (above) {
                  const unsent = waiting.find((one) => one.trial === above.trial)?.text ?? '';
                  return <Measured key={column} cell={above} {...{ colour, unsent, small, onChoose }} />;
                }
                if (below) return <Expected key={column} cell={below} />;
                return <td key={column} style={{ ...frame, background: ink.ground }} />;
              })}
            </tr>
          ))}
        </tbody>
      </table>
      <Box component="figcaption" sx={{ fontSize: 13.5, color: ink.inkSoft, mt: 0.5 }}>
        Above: {matrix.label.toLowerCase()}, {matrix.unit}, and the metal that is the cathode (+). Below: the
        standard value, and how far off.
      </Box>
    </Box>
  );
}

type MeasuredProps = { cell: Cell; unsent: string; small: boolean } & Pick<Props, 'colour' | 'onChoose'>;

function Measured({ cell, colour, unsent, small, onChoose }: MeasuredProps) {
  const state = STATES[cell.level];
  const wrong = cell.level !== 'keep';
  const said = cell.shown ? (
    <>
      <Box sx={{ fontSize: small ? 14 : 16.5, textDecoration: cell.void ? 'line-through' : 'none' }}>
        <Figure text={cell.shown.text} doubtful={cell.shown.doubtful} />
      </Box>
      <Box sx={{ fontSize: 12.5, color: wrong ? state.colour : ink.inkSoft }}>
        {wrong && <state.Icon sx={{ fontSize: 14, verticalAlign: -2 }} />}
        {wrong ? ` ${state.word}` : `${cell.cathode} +`}
      </Box>
    </>
  ) : (
    <i style={{ color: ink.inkSoft }}>{unsent || '–'}</i>
  );
  const name = `Red at ${cell.plus}, black at ${cell.minus}${cell.shown ? `: ${cell.shown.text}` : ''}`;
  return (
    <td
      style={{
        ...frame,
        padding: 0,
        background: wrong ? state.wash : ink.sheet,
        boxShadow: cell.shown ? `inset 0 -3px ${wrong ? state.colour : colour}` : 'none',
      }}
    >
      {onChoose ? (
        <Box
          component="button"
          type="button"
          aria-label={name}
          onClick={() => onChoose(cell.trial)}
          sx={{
            all: 'unset',
            boxSizing: 'border-box',
            cursor: 'pointer',
            width: '100%',
            minHeight: 54,
            display: 'grid',
            alignContent: 'center',
            justifyItems: 'center',
            '&:hover': { bgcolor: ink.liquid },
            '&:focus-visible': { outline: `3px solid ${ink.deep}`, outlineOffset: -3 },
          }}
        >
          {said}
        </Box>
      ) : (
        said
      )}
    </td>
  );
}

function Expected({ cell }: { cell: Cell }) {
  return (
    <td style={{ ...frame, background: ink.ground, color: ink.inkSoft }}>
      <Box sx={{ fontFamily: FIGURES, fontSize: 14 }}>{cell.standard}</Box>
      <Box sx={{ fontSize: 12.5, minHeight: 18 }}>{cell.off}</Box>
    </td>
  );
}
