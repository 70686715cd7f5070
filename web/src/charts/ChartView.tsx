import Box from '@mui/material/Box';
import type { Shapes } from '../api/client';
import { FIGURES, ink } from '../identity/tokens';
import { axis, span, tickText, type Axis } from './scale';

type Chart = Shapes['Chart'];
type Line = Shapes['ChartLine'];
type Point = [number, number];

const pointsOf = (line: Line) => line.points as Point[];

const WIDTH = 400;
const HEIGHT = 236;
const LEFT = 56;
const TOP = 12;
const BOTTOM = 40;
// Lines that share a chart are told apart by their marks and their stroke, not by colour alone.
const DASHES = ['', '6 3', '2 3', '8 3 2 3'];

/** A chart as the core describes it: points, lines, bars, marks and fields; no chemistry here. */
export function ChartView({ chart, colour }: { chart: Chart; colour: string }) {
  const right = WIDTH - (chart.right_label ? 46 : 10);
  const left = chart.lines.filter((line) => !line.right);
  const beside = chart.lines.filter((line) => line.right);
  const xs = [
    ...chart.lines.flatMap((line) => pointsOf(line).map(([x]) => x)),
    ...chart.areas.flatMap((one) => one.x),
  ];
  const marks = chart.marks.flatMap((mark) => (mark.x === null ? [] : [mark.x]));
  const levels = chart.marks.flatMap((mark) => (mark.y === null ? [] : [mark.y]));
  const feet = left.some((line) => line.style === 'bars') ? [0] : [];
  const ys = [...heights(left), ...chart.areas.flatMap((one) => one.y), ...levels, ...feet];
  const counted = chart.lines.every((line) => pointsOf(line).every(([x]) => Number.isInteger(x)));
  const wide: [number, number] = chart.ticks.length
    ? [0.5, chart.ticks.length + 0.5]
    : span([...xs, ...marks]);
  const across = axis(wide, LEFT, right, counted ? 1 : 0);
  const up = axis(span(ys), HEIGHT - BOTTOM, TOP);
  const other = beside.length > 0 ? axis(span([0, ...heights(beside)]), HEIGHT - BOTTOM, TOP) : null;
  const spots = left.flatMap((line) => pointsOf(line).map(([x, y]): Point => [across.at(x), up.at(y)]));
  return (
    <Box component="figure" sx={{ m: 0 }}>
      <Box component="h3" sx={{ m: 0, fontSize: 13, color: ink.inkSoft }}>
        {chart.title}
      </Box>
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        role="img"
        aria-label={chart.sentence}
        style={{ width: '100%', display: 'block' }}
      >
        <Frame {...{ chart, across, up, other, right }} />
        {chart.areas.map((area) => (
          <Area key={`${area.label}${area.x[0]}`} area={area} across={across} up={up} />
        ))}
        {other && beside.map((line) => <Bars key={line.label} line={line} across={across} up={other} />)}
        {left.map((line, place) =>
          line.style === 'bars' ? (
            <Bars key={line.label} {...{ line, across, up, colour }} width={chart.ticks.length ? 34 : 9} />
          ) : (
            <Trace key={line.label} {...{ line, place, across, up, colour }} />
          ),
        )}
        {chart.marks.map((mark) => (
          <Mark key={mark.label} {...{ mark, across, up, right, spots }} />
        ))}
      </svg>
      <Box component="figcaption" sx={{ fontSize: 13.5, color: ink.inkSoft }}>
        {chart.sentence}
      </Box>
    </Box>
  );
}

const heights = (lines: Line[]) => lines.flatMap((line) => pointsOf(line).map(([, y]) => y));

interface FrameProps {
  chart: Chart;
  across: Axis;
  up: Axis;
  other: Axis | null;
  right: number;
}

function Frame({ chart, across, up, other, right }: FrameProps) {
  const base = HEIGHT - BOTTOM;
  const figures = { fontFamily: FIGURES, fontSize: 10 };
  return (
    <g fill={ink.inkSoft}>
      <path d={`M${LEFT} ${TOP} V${base} H${right}`} fill="none" stroke={ink.rule} />
      {chart.ticks.length === 0 &&
        across.ticks.map((tick) => (
          <text key={tick} x={across.at(tick)} y={base + 13} textAnchor="middle" style={figures}>
            {tickText(tick)}
          </text>
        ))}
      {chart.ticks.map((tick) => (
        <Word key={String(tick[1])} x={across.at(Number(tick[0]))} y={base + 12} text={String(tick[1])} />
      ))}
      {up.ticks.map((tick) => (
        <g key={tick}>
          <line x1={LEFT} x2={right} y1={up.at(tick)} y2={up.at(tick)} stroke={ink.ruleSoft} />
          <text x={LEFT - 5} y={up.at(tick) + 3.5} textAnchor="end" style={figures}>
            {tickText(tick)}
          </text>
        </g>
      ))}
      {other?.ticks.map((tick) => (
        <text key={tick} x={right + 5} y={other.at(tick) + 3.5} style={figures}>
          {tickText(tick)}
        </text>
      ))}
      {chart.x_label && (
        <text x={(LEFT + right) / 2} y={HEIGHT - 8} textAnchor="middle" style={{ fontSize: 11.5 }}>
          {chart.x_label} →
        </text>
      )}
      <text
        transform={`translate(10 ${(TOP + base) / 2}) rotate(-90)`}
        textAnchor="middle"
        style={{ fontSize: Math.min(11.5, (base - TOP) / (chart.y_label.length * 0.54)) }}
      >
        {chart.y_label} →
      </text>
      {chart.right_label && (
        <text
          transform={`translate(${WIDTH - 4} ${(TOP + base) / 2}) rotate(-90)`}
          textAnchor="middle"
          style={{ fontSize: 11.5 }}
        >
          {chart.right_label}
        </text>
      )}
    </g>
  );
}

interface TraceProps {
  line: Line;
  place: number;
  across: Axis;
  up: Axis;
  colour: string;
}

function Trace({ line, place, across, up, colour }: TraceProps) {
  const at = pointsOf(line).map(([x, y]) => [across.at(x), up.at(y)] as const);
  const radius = line.points.length > 24 ? 2.2 : 3.6;
  const last = at.at(-1);
  const named = line.style === 'dots' && line.points.length === 1;
  return (
    <g>
      {(line.style === 'line' || line.style === 'path') && (
        <polyline
          points={at.map((pair) => pair.join(',')).join(' ')}
          fill="none"
          stroke={line.style === 'path' ? ink.inkSoft : colour}
          strokeWidth={1.8}
          strokeDasharray={line.style === 'path' ? '' : DASHES[place % DASHES.length]}
        />
      )}
      {(line.style === 'path' ? [] : at).map(([x, y], n) => (
        <circle
          key={n}
          cx={x}
          cy={y}
          r={radius}
          fill={place % 2 ? ink.sheet : colour}
          stroke={colour}
          strokeWidth={1.4}
        >
          <title>{`${line.label}: ${line.points[n]?.join('; ')}`}</title>
        </circle>
      ))}
      {named && last && (
        <text x={last[0] + 7} y={last[1] - 5} fill={ink.ink} style={{ fontSize: 10.5 }}>
          {line.label.replace(/^\D+/, '') || line.label}
        </text>
      )}
    </g>
  );
}

interface BarsProps {
  line: Line;
  across: Axis;
  up: Axis;
  colour?: string;
  width?: number;
}

/** Bars from zero: pale and thin where they only accompany a line. */
function Bars({ line, across, up, colour, width = 3 }: BarsProps) {
  return (
    <g stroke={colour ?? ink.inkSoft} strokeWidth={width} opacity={colour ? 0.8 : 0.45}>
      {pointsOf(line).map(([x, y]) => (
        <line key={x} x1={across.at(x)} x2={across.at(x)} y1={up.at(0)} y2={up.at(y)} />
      ))}
    </g>
  );
}

/** Words under a place of the axis, in lines of a few words each. */
function Word({ x, y, text }: { x: number; y: number; text: string }) {
  const lines = text.split(' ').reduce<string[]>((made, word) => {
    const last = made.at(-1);
    return last !== undefined && last.length + word.length < 15
      ? [...made.slice(0, -1), `${last} ${word}`]
      : [...made, word];
  }, []);
  return (
    <text x={x} y={y} textAnchor="middle" style={{ fontSize: 10.5 }}>
      {lines.slice(0, 3).map((line, place) => (
        <tspan key={line} x={x} dy={place ? 11 : 0}>
          {line}
        </tspan>
      ))}
    </text>
  );
}

function Area({ area, across, up }: { area: Shapes['ChartArea']; across: Axis; up: Axis }) {
  const [x1 = 0, x2 = 0] = area.x.map(across.at);
  const [y1 = 0, y2 = 0] = area.y.map(up.at);
  const width = Math.min(Math.abs(x2 - x1), WIDTH - Math.min(x1, x2));
  return (
    <g>
      <rect
        x={x1}
        y={Math.min(y1, y2)}
        width={width}
        height={Math.abs(y2 - y1)}
        fill={ink.keepWash}
        stroke={ink.rule}
      />
      <text x={x1 + 4} y={Math.min(y1, y2) + 11} fill={ink.keep} style={{ fontSize: 10.5 }}>
        {area.label}
      </text>
    </g>
  );
}

interface MarkProps {
  mark: Shapes['ChartMark'];
  across: Axis;
  up: Axis;
  right: number;
  /** Where points stand, so that the word keeps clear of them. */
  spots: Point[];
}

function Mark({ mark, across, up, right, spots }: MarkProps) {
  if (mark.x === null) {
    const y = up.at(mark.y ?? 0);
    return (
      <g>
        <line x1={LEFT} x2={right} y1={y} y2={y} stroke={ink.ink} strokeDasharray="4 3" />
        <text
          x={right - 4}
          y={y - 4}
          textAnchor="end"
          fill={ink.ink}
          style={{ fontSize: 11, fontWeight: 700 }}
        >
          {mark.label}
        </text>
      </g>
    );
  }
  const x = across.at(mark.x);
  const inward = x < LEFT + 60;
  const beside = ([at]: Point) => (inward ? at > x && at < x + 70 : at < x && at > x - 70);
  const crowded = spots.some((spot) => beside(spot) && spot[1] < TOP + 22);
  return (
    <g>
      <line x1={x} x2={x} y1={TOP} y2={HEIGHT - BOTTOM} stroke={ink.ink} strokeDasharray="4 3" />
      <text
        x={inward ? x + 4 : x - 4}
        y={crowded ? HEIGHT - BOTTOM - 5 : TOP + 9}
        textAnchor={inward ? 'start' : 'end'}
        fill={ink.ink}
        style={{ fontSize: 11, fontWeight: 700 }}
      >
        {mark.label}
      </text>
    </g>
  );
}
