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
  const ys = [...heights(left), ...chart.areas.flatMap((one) => one.y)];
  const counted = chart.lines.every((line) => pointsOf(line).every(([x]) => Number.isInteger(x)));
  const across = axis(span([...xs, ...marks]), LEFT, right, counted ? 1 : 0);
  const up = axis(span(ys), HEIGHT - BOTTOM, TOP);
  const other = beside.length > 0 ? axis(span([0, ...heights(beside)]), HEIGHT - BOTTOM, TOP) : null;
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
        {left.map((line, place) => (
          <Trace key={line.label} {...{ line, place, across, up, colour }} />
        ))}
        {chart.marks.map((mark) => (
          <Mark key={mark.label} mark={mark} across={across} />
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
      {across.ticks.map((tick) => (
        <text key={tick} x={across.at(tick)} y={base + 13} textAnchor="middle" style={figures}>
          {tickText(tick)}
        </text>
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
      <text x={(LEFT + right) / 2} y={HEIGHT - 8} textAnchor="middle" style={{ fontSize: 11.5 }}>
        {chart.x_label} →
      </text>
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
      {line.style === 'line' && (
        <polyline
          points={at.map((pair) => pair.join(',')).join(' ')}
          fill="none"
          stroke={colour}
          strokeWidth={1.8}
          strokeDasharray={DASHES[place % DASHES.length]}
        />
      )}
      {at.map(([x, y], n) => (
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

function Bars({ line, across, up }: { line: Line; across: Axis; up: Axis }) {
  return (
    <g stroke={ink.inkSoft} strokeWidth={3} opacity={0.45}>
      {pointsOf(line).map(([x, y]) => (
        <line key={x} x1={across.at(x)} x2={across.at(x)} y1={up.at(0)} y2={up.at(y)} />
      ))}
    </g>
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

function Mark({ mark, across }: { mark: Shapes['ChartMark']; across: Axis }) {
  if (mark.x === null) return null;
  const x = across.at(mark.x);
  return (
    <g>
      <line x1={x} x2={x} y1={TOP} y2={HEIGHT - BOTTOM} stroke={ink.ink} strokeDasharray="4 3" />
      <text x={x - 4} y={TOP + 9} textAnchor="end" fill={ink.ink} style={{ fontSize: 11, fontWeight: 700 }}>
        {mark.label}
      </text>
    </g>
  );
}
