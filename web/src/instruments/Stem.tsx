import type { Shapes } from '../api/client';
import { asText, FIGURES, ink } from '../identity/tokens';
import { Marks } from './Marks';
import { scaleWindow } from './scale';

const HEIGHT = 400;
const REACH = 12;

interface Props {
  tool: Shapes['Instrument'];
  value: number | null;
  text: string;
  colour: string;
}

/** A column beside its scale: the thread of a thermometer, the mercury of a barometer, water beside a ruler. */
export function Stem({ tool, value, text, colour }: Props) {
  const wide = tool.kind === 'ruler';
  const vernier = tool.kind === 'barometer';
  const [left, right] = wide ? [28, 82] : vernier ? [26, 52] : [62, 74];
  const graduation = vernier ? Number(tool.graduation) * 10 : Number(tool.graduation);
  const low = Number(tool.low);
  const high = Number(tool.high);
  const inside = value !== null && value >= low && value <= high;
  const shown = inside ? value : (low + high) / 2;
  const window = scaleWindow(shown, {
    low,
    high,
    graduation,
    reach: REACH,
    height: HEIGHT,
    numbersRun: 'up',
  });
  const y = window.at(shown) + 12;
  // mercury stands highest in the middle, water lowest
  const bulge = tool.meniscus === 'top' ? 7 : wide ? -6 : 0;
  const middle = (left + right) / 2;
  const top = `M${left} ${y + bulge} Q${middle} ${y - bulge} ${right} ${y + bulge}`;
  return (
    <svg
      viewBox={`0 0 250 ${HEIGHT + 28}`}
      role="img"
      aria-label={
        inside ? `${tool.short} at ${text || 'a height to be read'}` : `${tool.short}, nothing read`
      }
      style={{ width: '100%', height: '100%', maxHeight: 440 }}
    >
      <rect
        x={left}
        y={4}
        width={right - left}
        height={HEIGHT + 16}
        rx={wide ? 4 : 8}
        fill={ink.sheet}
        stroke={ink.rule}
        strokeWidth={2}
      />
      {inside && <path d={`${top} V${HEIGHT + 20} H${left} Z`} fill={wide ? ink.liquid : ink.inkSoft} />}
      <Marks
        marks={window.marks}
        from={92}
        lengths={{ major: 34, middle: 25, minor: 16 }}
        numbersAt={132}
        anchor="start"
        sizes={[17, 13]}
      />
      {inside && vernier && <Vernier y={y} step={window.at(0) - window.at(graduation)} />}
      {inside && text && <ReadHere from={left - 8} {...{ y, text, colour }} unit={tool.unit} />}
    </svg>
  );
}

/** A slide whose zero is set to the top of the column; its ten divisions are nine of the scale's. */
function Vernier({ y, step }: { y: number; step: number }) {
  const lines = Array.from({ length: 11 }, (_, n) => ({ n, at: y - n * 0.9 * step }));
  return (
    <g>
      <rect
        x={58}
        y={y - 9 * step - 10}
        width={34}
        height={9 * step + 20}
        fill={ink.ground}
        stroke={ink.rule}
      />
      {lines.map(({ n, at }) => (
        <line key={n} x1={n % 5 ? 82 : 76} x2={92} y1={at} y2={at} stroke={ink.ink} strokeWidth={1.1} />
      ))}
      {lines
        .filter(({ n }) => n % 5 === 0)
        .map(({ n, at }) => (
          <text key={n} x={73} y={at + 4} textAnchor="end" fill={ink.ink} style={{ fontSize: 11 }}>
            {n}
          </text>
        ))}
    </g>
  );
}

interface ReadProps {
  from: number;
  y: number;
  text: string;
  unit: string;
  colour: string;
}

function ReadHere({ from, y, text, unit, colour }: ReadProps) {
  return (
    <g>
      <line x1={from} x2={186} y1={y} y2={y} stroke={colour} strokeWidth={1.6} strokeDasharray="4 3" />
      <text
        x={190}
        y={y + 1}
        fill={asText(colour)}
        style={{ fontFamily: FIGURES, fontSize: 15, fontWeight: 700 }}
      >
        {text}
      </text>
      <text x={190} y={y + 16} fill={ink.inkSoft} style={{ fontSize: 12 }}>
        {unit}
      </text>
    </g>
  );
}
