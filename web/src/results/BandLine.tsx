import { ink } from '../identity/tokens';

interface Props {
  band: { low: number; high: number; axis_low: number; axis_high: number };
  value: number | null;
  /** Expanded uncertainty of the value. */
  expanded: number | null;
  colour: string;
  /** What the picture says, in words. */
  says: string;
}

const WIDTH = 200;
const inside = (x: number) => Math.min(Math.max(x, 4), WIDTH - 4);

/** Where a result stands against the expected band; beyond the axis it stands at its end, as an arrow. */
export function BandLine({ band, value, expanded, colour, says }: Props) {
  const at = (v: number) => ((v - band.axis_low) / (band.axis_high - band.axis_low)) * WIDTH;
  const x = value === null ? null : at(value);
  const beyond = x !== null && (x < 0 || x > WIDTH);
  const half = expanded === null || value === null ? 0 : at(value + expanded) - at(value);
  return (
    <svg viewBox={`0 0 ${WIDTH} 14`} role="img" aria-label={says} style={{ width: '100%', display: 'block' }}>
      <line x1={0} x2={WIDTH} y1={7} y2={7} stroke={ink.rule} strokeWidth={1.5} />
      <rect
        x={at(band.low)}
        width={at(band.high) - at(band.low)}
        y={1}
        height={12}
        rx={2}
        fill={ink.keepWash}
        stroke={ink.rule}
        strokeWidth={0.6}
      />
      {x !== null && !beyond && (
        <>
          <line x1={inside(x - half)} x2={inside(x + half)} y1={7} y2={7} stroke={colour} strokeWidth={2} />
          <circle cx={inside(x)} cy={7} r={4} fill={colour} />
        </>
      )}
      {beyond && (
        <path
          d={x < 0 ? 'M10 2 L2 7 L10 12' : `M${WIDTH - 10} 2 L${WIDTH - 2} 7 L${WIDTH - 10} 12`}
          fill="none"
          stroke={colour}
          strokeWidth={2.4}
        />
      )}
    </svg>
  );
}
