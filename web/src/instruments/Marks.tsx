import { FIGURES, ink } from '../identity/tokens';
import type { Mark } from './scale';

interface Props {
  marks: Mark[];
  /** Where lines begin, and how long each rank is. */
  from: number;
  lengths: Record<Mark['rank'], number>;
  /** Where numbers stand, to that side of it, and how large. */
  numbersAt: number;
  anchor: 'start' | 'end';
  sizes: [major: number, minor: number];
  /** Numbers between the long marks are paler. */
  pale?: boolean;
}

/** The marks of a scale with their numbers. */
export function Marks({ marks, from, lengths, numbersAt, anchor, sizes, pale = false }: Props) {
  return marks.map((mark) => {
    const major = mark.rank === 'major';
    return (
      <g key={mark.y}>
        <line
          x1={from}
          x2={from + lengths[mark.rank]}
          y1={mark.y + 12}
          y2={mark.y + 12}
          stroke={ink.ink}
          strokeWidth={major ? 2 : 1.25}
        />
        {mark.label && (
          <text
            x={numbersAt}
            y={mark.y + 17}
            textAnchor={anchor}
            fill={major || !pale ? ink.ink : ink.inkSoft}
            style={{ fontFamily: FIGURES, fontSize: major ? sizes[0] : sizes[1] }}
          >
            {mark.label}
          </text>
        )}
      </g>
    );
  });
}
