import { useId } from 'react';
import type { Shapes } from '../api/client';
import { asText, FIGURES, ink } from '../identity/tokens';
import { Marks } from './Marks';
import { meniscusPath, scaleWindow, type Mark } from './scale';

// On a phone there is room for the scale and the mark, and for nothing beside it.
const WIDE = { height: 430, reach: 11, from: 0, width: 250 };
const NARROW = { height: 250, reach: 6, from: 18, width: 140 };
const LEFT = 62;
const RIGHT = 152;

interface Props {
  tool: Shapes['Instrument'];
  /** The typed value; null while nothing readable is typed. */
  value: number | null;
  /** How it was typed; empty where it is not to be told. */
  text: string;
  colour: string;
  narrow: boolean;
  /** Divisions higher up against which the level is seen; undefined where nobody looks. */
  eye: number | undefined;
}

/** A burette, a cylinder or an inverted gas tube around the typed value: “does yours look like this?” */
export function Tube({ tool, value, text, colour, narrow, eye }: Props) {
  const { height, reach, from, width } = narrow ? NARROW : WIDE;
  const graduation = Number(tool.graduation);
  const low = Number(tool.low);
  const high = Number(tool.high);
  const inside = value !== null && value >= low && value <= high;
  const shown = inside ? value : low + 10 * graduation;
  const window = scaleWindow(shown, {
    low,
    high,
    graduation,
    reach,
    height,
    numbersRun: tool.numbers_run,
  });
  const lifted = ((eye ?? 0) * height * graduation) / (window.to - window.from);
  const y = window.at(shown) + 12 - lifted;
  const clip = useId();
  const sag = 9;
  return (
    <svg
      viewBox={`${from} 0 ${width} ${height + 28}`}
      role="img"
      aria-label={inside ? `${tool.short} at ${text || 'a level to be read'}` : `${tool.short}, empty`}
      style={{ width: '100%', height: '100%', maxHeight: 470 }}
    >
      <clipPath id={clip}>
        <rect x={LEFT} y={4} width={RIGHT - LEFT} height={height + 16} rx={8} />
      </clipPath>
      <rect
        x={LEFT}
        y={4}
        width={RIGHT - LEFT}
        height={height + 16}
        rx={8}
        fill={ink.sheet}
        stroke={ink.rule}
        strokeWidth={2}
      />
      {inside && (
        <g clipPath={`url(#${clip})`}>
          <path d={`${meniscusPath(LEFT, RIGHT, y, sag)} V${height + 30} H${LEFT} Z`} fill={ink.liquid} />
          <path d={meniscusPath(LEFT, RIGHT, y, sag)} fill="none" stroke={ink.deep} strokeWidth={2.6} />
        </g>
      )}
      {inside && tool.kind === 'gas tube' && !narrow && <GasOverWater y={y} />}
      <Marks
        marks={window.marks}
        from={LEFT + 2}
        lengths={{ major: 58, middle: 38, minor: 25 }}
        numbersAt={LEFT - 9}
        anchor="end"
        sizes={[19, 14]}
        pale
      />
      {eye !== undefined && <Rings marks={window.marks} lifted={lifted} />}
      {inside && text && (
        <g>
          <line
            x1={LEFT - 6}
            x2={RIGHT + 8}
            y1={y}
            y2={y}
            stroke={colour}
            strokeWidth={1.6}
            strokeDasharray="4 3"
          />
          {!narrow && <Words x={RIGHT + 13} y={y} text={text} colour={colour} />}
        </g>
      )}
      {!narrow && <NumbersRun down={tool.numbers_run === 'down'} height={height} />}
    </svg>
  );
}

/** The long marks run around the tube: seen from above or below their far side lies elsewhere. */
function Rings({ marks, lifted }: { marks: Mark[]; lifted: number }) {
  return marks
    .filter((mark) => mark.rank === 'major')
    .map((mark) => (
      <ellipse
        key={mark.y}
        cx={(LEFT + RIGHT) / 2}
        cy={mark.y + 12 - lifted}
        rx={(RIGHT - LEFT) / 2}
        ry={Math.max(Math.abs(lifted), 0.5)}
        fill="none"
        stroke={ink.inkSoft}
        strokeWidth={1.25}
      />
    ));
}

function Words({ x, y, text, colour }: { x: number; y: number; text: string; colour: string }) {
  return (
    <>
      <text
        x={x}
        y={y - 3}
        fill={asText(colour)}
        style={{ fontFamily: FIGURES, fontSize: 16, fontWeight: 700 }}
      >
        {text}
      </text>
      <text x={x} y={y + 15} fill={ink.inkSoft} style={{ fontSize: 12 }}>
        read here
      </text>
    </>
  );
}

function GasOverWater({ y }: { y: number }) {
  return (
    <g fill={ink.inkSoft} style={{ fontSize: 13 }}>
      <text x={RIGHT - 8} y={y - 26} textAnchor="end">
        gas
      </text>
      <text x={RIGHT - 8} y={y + 30} textAnchor="end">
        water
      </text>
      <text x={RIGHT + 13} y={18} style={{ fontSize: 12 }}>
        closed
        <tspan x={RIGHT + 13} dy={14}>
          end up
        </tspan>
      </text>
    </g>
  );
}

function NumbersRun({ down, height }: { down: boolean; height: number }) {
  return (
    <text x={RIGHT + 13} y={down ? height + 8 : 24} fill={ink.inkSoft} style={{ fontSize: 12 }}>
      numbers run
      <tspan x={RIGHT + 13} dy={14}>
        {down ? 'down' : 'up'}
      </tspan>
    </text>
  );
}
