import { memo } from 'react';
import type { Shapes } from '../api/client';
import { FIGURES, TEXT } from '../identity/tokens';
import { fills, pens, words } from './paint';

interface Props {
  move: Shapes['MoveDrawn'];
  width: number;
  height: number;
  colour: string;
}

/** One move of the hands as the core has drawn it; only ink is put on it here. */
export const MoveDrawing = memo(function MoveDrawing({ move, width, height, colour }: Props) {
  const [fill, pen, tone] = [fills(colour), pens(colour), words(colour)];
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      width="100%"
      role="img"
      aria-label={move.words.map((word) => word.text).join(' ') || move.text}
      style={{ display: 'block' }}
    >
      {move.shapes.map((shape, place) => (
        <path
          key={place}
          d={shape.path}
          fill={fill[shape.fill]}
          stroke={pen[shape.pen].stroke}
          strokeWidth={pen[shape.pen].width}
          strokeDasharray={pen[shape.pen].dash}
          strokeLinejoin="round"
          strokeLinecap="round"
        />
      ))}
      {move.words.map((label, place) => (
        <text
          key={place}
          x={label.x}
          y={label.y}
          textAnchor={label.anchor as 'start' | 'middle' | 'end'}
          fontSize={label.size}
          fontFamily={label.tone === 'figure' ? FIGURES : TEXT}
          fontWeight={tone[label.tone].weight}
          fill={tone[label.tone].fill}
        >
          {label.text}
        </text>
      ))}
    </svg>
  );
});
