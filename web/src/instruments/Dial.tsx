import type { Shapes } from '../api/client';
import { asText, FIGURES, ink } from '../identity/tokens';

const CENTRE = { x: 150, y: 196 };
const REACH = 146;
// the needle swings from upper left to upper right
const FROM = -50;
const SWING = 100;

interface Props {
  tool: Shapes['Instrument'];
  value: number | null;
  text: string;
  colour: string;
}

const CASE = { x: 8, y: 6, width: 284, height: 218, rx: 14 };

/** A needle over several scales. The one of the terminal in use is dark, the others pale. */
export function Dial({ tool, value, text, colour }: Props) {
  const divisions = Math.round(Number(tool.high) / Number(tool.graduation));
  const share = value === null ? 0 : Math.min(Math.max(value / Number(tool.high), -0.03), 1.04);
  const needle = spot(share, REACH - 4);
  return (
    <svg
      viewBox="0 0 300 230"
      role="img"
      aria-label={
        value === null
          ? `${tool.short}, nothing read`
          : `${tool.short}, needle ${text ? `at ${text} ${tool.unit}` : 'to be read'}`
      }
      style={{ width: '100%', maxHeight: 320 }}
    >
      <rect {...CASE} fill={ink.sheet} stroke={ink.inkSoft} strokeWidth={2} />
      <Graduation divisions={divisions} />
      {tool.scales.map((scale, row) => (
        <Scale
          key={scale}
          parts={divisions % 3 === 0 ? 3 : 5}
          full={Number(scale)}
          row={row}
          used={scale === tool.high}
          colour={colour}
        />
      ))}
      {value !== null && (
        <line x1={CENTRE.x} y1={CENTRE.y} x2={needle.x} y2={needle.y} stroke={colour} strokeWidth={2.4} />
      )}
      <circle cx={CENTRE.x} cy={CENTRE.y} r={7} fill={ink.inkSoft} />
      <text x={CENTRE.x} y={216} textAnchor="middle" fill={ink.ink} style={{ fontSize: 13 }}>
        {tool.scales.length > 1 ? `terminal in use: ${tool.high} ${tool.unit}` : tool.unit}
      </text>
    </svg>
  );
}

interface ScaleProps {
  parts: number;
  full: number;
  row: number;
  used: boolean;
  colour: string;
}

function Graduation({ divisions }: { divisions: number }) {
  return Array.from({ length: divisions + 1 }, (_, n) => {
    const long = n % 5 === 0;
    const [a, b] = [spot(n / divisions, REACH), spot(n / divisions, REACH + (long ? 13 : 7))];
    return <line key={n} x1={a.x} y1={a.y} x2={b.x} y2={b.y} stroke={ink.ink} strokeWidth={long ? 1.8 : 1} />;
  });
}

/** The numbers of one scale, at equal parts of its swing. */
function Scale({ parts, full, row, used, colour }: ScaleProps) {
  return Array.from({ length: parts + 1 }, (_, n) => n / parts).map((share) => {
    const at = spot(share, REACH - 16 - 19 * row);
    return (
      <text
        key={share}
        x={at.x}
        y={at.y + 4}
        textAnchor="middle"
        fill={used ? asText(colour) : ink.inkSoft}
        opacity={used ? 1 : 0.55}
        style={{ fontFamily: FIGURES, fontSize: used ? 14 : 11.5, fontWeight: used ? 700 : 400 }}
      >
        {Number((full * share).toPrecision(3))}
      </text>
    );
  });
}

/** The place at `share` of the swing, `radius` away from the needle's foot. */
function spot(share: number, radius: number): { x: number; y: number } {
  const turn = ((FROM + SWING * share) * Math.PI) / 180;
  return { x: CENTRE.x + radius * Math.sin(turn), y: CENTRE.y - radius * Math.cos(turn) };
}
