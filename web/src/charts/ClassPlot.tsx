import type { Shapes } from '../api/client';
import { asText, FIGURES, ink } from '../identity/tokens';

type Plot = Shapes['ClassPlot'];
type Dot = Shapes['ClassDot'];

interface Props {
  plot: Plot;
  colour: string;
  /** What the picture says, read aloud instead of it. */
  sentence: string;
  /** The benches' numbers in their dots; without them nobody is known by it. */
  numbered?: boolean;
  onChoose?: ((bench: number) => void) | undefined;
}

/** Every bench's result with its interval, the class's mean, and the accepted value behind them. */
export function ClassPlot({ plot, colour, sentence, numbered = true, onChoose }: Props) {
  const base = plot.height - 30;
  return (
    <svg
      viewBox={`0 0 ${plot.width} ${plot.height}`}
      // a picture holds nothing that could be pressed
      role={onChoose ? 'group' : 'img'}
      aria-label={sentence}
      style={{ width: '100%', display: 'block' }}
    >
      {plot.strips.map((strip) => (
        <g key={strip.label}>
          <text x={0} y={strip.top + 14} fill={ink.ink} style={{ fontSize: 12.5, fontWeight: 700 }}>
            {strip.label}
          </text>
          {strip.accepted !== null && <Accepted strip={strip} x={strip.accepted} />}
          <path d={`M${strip.mean} ${strip.top + 34} l-6 -9 h12 z`} fill={ink.ink} />
          {strip.dots.map((dot) => (
            <Bench
              key={`${dot.bench} ${dot.x} ${dot.y}`}
              {...{ dot, colour, numbered }}
              onChoose={onChoose && (() => onChoose(dot.bench))}
            />
          ))}
          <line x1={0} x2={plot.width} y1={strip.base} y2={strip.base} stroke={ink.rule} />
        </g>
      ))}
      {plot.ticks.map((tick) => (
        <Tick key={tick.text} {...tick} base={base} />
      ))}
    </svg>
  );
}

function Accepted({ strip, x }: { strip: Plot['strips'][number]; x: number }) {
  return (
    <line
      {...{ x1: x, x2: x, y1: strip.top + 18, y2: strip.base }}
      stroke={ink.keep}
      strokeWidth={2}
      strokeDasharray="6 4"
    />
  );
}

interface BenchProps {
  dot: Dot;
  colour: string;
  numbered: boolean;
  onChoose: (() => void) | undefined;
}

/** Full: it counts; ringed: it stands apart; dashed: it was left out. An arrow points to what lies further out. */
function Bench({ dot, colour, numbered, onChoose }: BenchProps) {
  const counts = dot.standing === 'counts';
  const words = `Bench ${dot.bench}${counts ? '' : `, ${dot.standing}`}${dot.beyond ? ', further out' : ''}`;
  const press = onChoose && {
    role: 'button',
    tabIndex: 0,
    onClick: onChoose,
    onKeyDown: (event: React.KeyboardEvent) => event.key === 'Enter' && onChoose(),
    style: { cursor: 'pointer' },
  };
  return (
    <g aria-label={numbered ? words : undefined} {...press}>
      {numbered && <title>{words}</title>}
      <line
        x1={dot.left}
        x2={dot.right}
        y1={dot.y}
        y2={dot.y}
        stroke={colour}
        strokeWidth={1.5}
        opacity={0.6}
      />
      {dot.beyond && <Beyond dot={dot} colour={colour} />}
      <circle
        cx={dot.x}
        cy={dot.y}
        r={10}
        fill={counts ? asText(colour) : ink.sheet}
        stroke={asText(colour)}
        strokeWidth={counts ? 1 : 2}
        strokeDasharray={dot.standing === 'left out' ? '3 3' : undefined}
      />
      {numbered && <Numbered dot={dot} fill={counts ? ink.sheet : ink.ink} />}
    </g>
  );
}

function Beyond({ dot, colour }: { dot: Dot; colour: string }) {
  const side = dot.x < 100 ? 1 : -1;
  return <path d={`M${dot.x + side * 24} ${dot.y} l${side * 8} -5 v10 z`} fill={colour} />;
}

function Numbered({ dot, fill }: { dot: BenchProps['dot']; fill: string }) {
  return (
    <text
      x={dot.x}
      y={dot.y + 4}
      textAnchor="middle"
      fill={fill}
      style={{ fontFamily: FIGURES, fontSize: 11, fontWeight: 700 }}
    >
      {dot.bench}
    </text>
  );
}

function Tick({ x, text, base }: Shapes['ClassTick'] & { base: number }) {
  return (
    <g>
      <line x1={x} x2={x} y1={base} y2={base + 5} stroke={ink.inkSoft} />
      <text
        x={x}
        y={base + 20}
        textAnchor="middle"
        fill={ink.inkSoft}
        style={{ fontFamily: FIGURES, fontSize: 12 }}
      >
        {text}
      </text>
    </g>
  );
}
