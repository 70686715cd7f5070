import type { SVGProps } from 'react';
import type { Shapes } from '../api/client';
import { FIGURES, ink } from '../identity/tokens';
import type { Spot } from './usePointed';

type Plot = Shapes['Plot'];
type Line = Shapes['PlotLine'];
type Text = Shapes['PlotText'];

// Lines that share a chart are told apart by their marks and their stroke, not by colour alone.
const DASHES = ['', '6 3', '2 3', '8 3 2 3'];
const INKS: Record<Text['role'], string> = {
  tick: ink.inkSoft,
  axis: ink.inkSoft,
  mark: ink.ink,
  area: ink.keep,
  point: ink.ink,
};

interface Props extends SVGProps<SVGSVGElement> {
  plot: Plot;
  colour: string;
  spot?: Spot;
}

/** A plot as the core laid it out: this only puts ink on it. */
export function PlotView({ plot, colour, spot, ...rest }: Props) {
  const [left = 0, top = 0, right = 0, base = 0] = plot.frame;
  const inOrder = [...plot.lines].sort((a, b) => Number(b.beside) - Number(a.beside));
  return (
    <svg
      viewBox={`0 0 ${plot.width} ${plot.height}`}
      style={{ width: '100%', display: 'block', touchAction: 'pan-y' }}
      {...rest}
    >
      <path d={`M${left} ${top} V${base} H${right}`} fill="none" stroke={ink.rule} />
      {plot.rules.map((y) => (
        <line key={y} x1={left} x2={right} y1={y} y2={y} stroke={ink.ruleSoft} />
      ))}
      {plot.boxes.map((box) => (
        <rect key={`${box.x} ${box.y}`} {...box} fill={ink.keepWash} stroke={ink.rule} />
      ))}
      {inOrder.map((line) => (
        <Trace key={`${line.number} ${line.label}`} line={line} colour={colour} />
      ))}
      {plot.marks.map((mark) => (
        <line key={`${mark.x1} ${mark.y1}`} {...mark} stroke={ink.ink} strokeDasharray="4 3" />
      ))}
      {plot.texts.map((text) => (
        <Words key={`${text.text} ${text.x} ${text.y}`} text={text} />
      ))}
      {spot && <circle cx={spot.at[0]} cy={spot.at[1]} r={7} fill="none" stroke={ink.deep} strokeWidth={2} />}
    </svg>
  );
}

/** One line with the stroke and marks that are its own; also as a sample beside its name. */
export function Trace({ line, colour }: { line: Line; colour: string }) {
  const points = line.points as [number, number][];
  if (line.style === 'bars') return <Bars line={line} points={points} colour={colour} />;
  const path = line.style === 'path';
  return (
    <g>
      {line.style !== 'dots' && (
        <polyline
          points={points.map((pair) => pair.join(',')).join(' ')}
          fill="none"
          stroke={path ? ink.inkSoft : colour}
          strokeWidth={1.8}
          strokeDasharray={path ? '' : DASHES[line.number % DASHES.length]}
        />
      )}
      {(path ? [] : points).map(([x, y], n) => (
        <circle
          key={n}
          cx={x}
          cy={y}
          r={line.size}
          fill={line.number % 2 ? ink.sheet : colour}
          stroke={colour}
          strokeWidth={1.4}
        />
      ))}
    </g>
  );
}

/** Bars from zero: pale where they only accompany a line. */
function Bars({ line, points, colour }: { line: Line; points: [number, number][]; colour: string }) {
  return (
    <g stroke={line.beside ? ink.inkSoft : colour} strokeWidth={line.size} opacity={line.beside ? 0.45 : 0.8}>
      {points.map(([x, y]) => (
        <line key={x} x1={x} x2={x} y1={line.foot} y2={y} />
      ))}
    </g>
  );
}

function Words({ text }: { text: Text }) {
  const place = text.turned
    ? { transform: `translate(${text.x} ${text.y}) rotate(-90)` }
    : { x: text.x, y: text.y };
  return (
    <text
      {...place}
      textAnchor={text.anchor}
      fill={INKS[text.role]}
      style={{
        fontSize: text.size,
        fontFamily: text.role === 'tick' && !/[a-z]{2}/i.test(text.text) ? FIGURES : undefined,
        fontWeight: text.role === 'mark' ? 700 : undefined,
      }}
    >
      {text.text}
    </text>
  );
}
