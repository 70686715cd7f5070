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
  const [fill, pen, word] = [fills(colour), pens(colour), words(colour)];
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      width="100%"
      role="img"
      aria-label={move.words.map((one) => one.text).join(' ') || move.text}
      style={{ display: 'block' }}
    >
      {move.shapes.map((one, place) => (
        <path
          key={place}
          d={one.path}
          fill={fill[one.fill]}
          stroke={pen[one.pen].stroke}
          strokeWidth={pen[one.pen].width}
          strokeDasharray={pen[one.pen].dash}
          strokeLinejoin="round"
          strokeLinecap="round"
        />
      ))}
      {move.words.map((one, place) => (
        <text
          key={place}
          x={one.x}
          y={one.y}
          textAnchor={one.anchor as 'start' | 'middle' | 'end'}
          fontSize={one.size}
          fontFamily={one.word === 'figure' ? FIGURES : TEXT}
          fontWeight={word[one.word].weight}
          fill={word[one.word].fill}
        >
          {one.text}
        </text>
      ))}
    </svg>
  );
});
