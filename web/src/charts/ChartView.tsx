import Box from '@mui/material/Box';
import type { Shapes } from '../api/client';
import { ink } from '../identity/tokens';
import { PlotView, Trace } from './PlotView';
import { SquareView } from './SquareView';
import { usePointed } from './usePointed';

type Chart = Shapes['Chart'];
type Line = Shapes['PlotLine'];

/** A chart as the core describes it, with its title and what it says in words. */
export function ChartView({ chart, colour }: { chart: Chart; colour: string }) {
  if (chart.square) return <SquareView chart={chart} square={chart.square} colour={colour} />;
  return (
    <Box component="figure" sx={{ m: 0 }}>
      <Box component="h3" sx={{ m: 0, fontSize: 13, color: ink.inkSoft }}>
        {chart.title}
      </Box>
      {chart.plot && <Pointed chart={chart} plot={chart.plot} colour={colour} />}
      <Box component="figcaption" sx={{ fontSize: 13.5, color: ink.inkSoft }}>
        {chart.sentence}
      </Box>
    </Box>
  );
}

/** The picture, from which values are read by pointer, finger or arrow keys, and the names of its lines. */
function Pointed({ chart, plot, colour }: { chart: Chart; plot: Shapes['Plot']; colour: string }) {
  const { spot, handlers } = usePointed(plot);
  return (
    <>
      <PlotView
        plot={plot}
        colour={colour}
        spot={spot}
        role="img"
        tabIndex={0}
        aria-label={`${chart.title}. ${chart.sentence} Arrow keys read the points.`}
        {...handlers}
      />
      <Box role="status" sx={{ minHeight: 20, fontSize: 13.5 }}>
        {spot?.said}
      </Box>
      {plot.named && (
        <Box
          component="ul"
          sx={{ listStyle: 'none', m: 0, p: 0, display: 'flex', flexWrap: 'wrap', gap: 1.5 }}
        >
          {plot.lines.map((line) => (
            <Box
              component="li"
              key={`${line.number} ${line.label}`}
              sx={{ fontSize: 13, display: 'flex', gap: 0.5 }}
            >
              <svg width={30} height={14} aria-hidden>
                <Trace line={sample(line)} colour={colour} />
              </svg>
              {line.label}
            </Box>
          ))}
        </Box>
      )}
    </>
  );
}

/** A piece of a line, to stand before its name. */
function sample(line: Line): Line {
  const marked = line.style === 'bars' || line.style === 'dots';
  return {
    ...line,
    points: marked ? [[15, line.style === 'bars' ? 3 : 7]] : [[6, 7], [26, 7]], // prettier-ignore
    size: Math.min(line.size, 3.6),
    foot: 12,
  };
}
