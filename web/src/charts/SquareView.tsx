import Box from '@mui/material/Box';
import type { Shapes } from '../api/client';
import { Figure } from '../identity/Figure';
import { FIGURES, ink } from '../identity/tokens';
import { STATES } from '../identity/Verdict';

type Cell = Shapes['SquareCell'];

const edge = `1px solid ${ink.ruleSoft}`;
const frame = { border: edge, padding: 4, textAlign: 'center', verticalAlign: 'middle', height: 54 } as const;

interface Props {
  chart: Shapes['Chart'];
  square: Shapes['Square'];
  colour: string;
  /** Written here, not sent yet. */
  waiting?: { trial?: number | null; text: string }[];
  /** Takes the reading of a cell in hand; without it the square is only looked at. */
  onChoose?: (trial: number) => void;
}

/** Things held against each other: what was read of each two, and across the diagonal what is expected. */
export function SquareView({ chart, square, colour, waiting = [], onChoose }: Props) {
  const { heads, names, cells } = square;
  const small = heads.length > 5;
  return (
    <Box component="figure" sx={{ m: 0, overflowX: 'auto' }}>
      <table style={{ borderCollapse: 'collapse', width: '100%', tableLayout: 'fixed' }}>
        <thead>
          <tr>
            <td style={{ fontSize: 12, color: ink.inkSoft, width: 48 }}>{square.corner}</td>
            {heads.map((head, at) => (
              <th key={head} scope="col" title={names[at]} style={{ padding: 4 }}>
                {head}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {heads.map((head, row) => (
            <tr key={head}>
              <th scope="row" title={names[row]} style={{ textAlign: 'left' }}>
                {head}
              </th>
              {heads.map((other, column) => {
                const cell = cells.find((cell) => cell.row === row && cell.column === column);
                if (!cell) return <td key={other} style={{ ...frame, background: ink.ground }} />;
                if (cell.expected) return <Expected key={other} cell={cell} />;
                const unsent = waiting.find((draft) => draft.trial === cell.trial)?.text ?? '';
                return <Measured key={other} {...{ cell, colour, unsent, small, onChoose }} />;
              })}
            </tr>
          ))}
        </tbody>
      </table>
      <Box component="figcaption" sx={{ fontSize: 13.5, color: ink.inkSoft, mt: 0.5 }}>
        {chart.sentence}
      </Box>
    </Box>
  );
}

type MeasuredProps = { cell: Cell; unsent: string; small: boolean } & Pick<Props, 'colour' | 'onChoose'>;

const CHOSEN_BY_TOUCH = {
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
} as const;

function Measured({ cell, colour, unsent, small, onChoose }: MeasuredProps) {
  const state = STATES[cell.level];
  const wrong = cell.level !== 'keep';
  const element = cell.shown ? (
    <>
      <Box sx={{ fontSize: small ? 14 : 16.5, textDecoration: cell.void ? 'line-through' : 'none' }}>
        <Figure text={cell.shown.text} doubtful={cell.shown.doubtful} />
      </Box>
      <Box sx={{ fontSize: 12.5, color: wrong ? state.colour : ink.inkSoft }}>
        {wrong && <state.Icon sx={{ fontSize: 14, verticalAlign: -2 }} />}
        {wrong ? ` ${state.word}` : cell.note}
      </Box>
    </>
  ) : (
    <i style={{ color: ink.inkSoft }}>{unsent || '–'}</i>
  );
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
          aria-label={cell.name}
          onClick={() => onChoose(cell.trial)}
          sx={CHOSEN_BY_TOUCH}
        >
          {element}
        </Box>
      ) : (
        element
      )}
    </td>
  );
}

function Expected({ cell }: { cell: Cell }) {
  return (
    <td style={{ ...frame, background: ink.ground, color: ink.inkSoft }}>
      <Box sx={{ fontFamily: FIGURES, fontSize: 14 }}>{cell.shown?.text}</Box>
      <Box sx={{ fontSize: 12.5, minHeight: 18 }}>{cell.note}</Box>
    </td>
  );
}
