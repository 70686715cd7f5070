import Box from '@mui/material/Box';
import type { Shapes } from '../../api/client';
import { FIGURES, ink } from '../../identity/tokens';

type Comparison = Shapes['ClassComparison'];

const WIDTH = 640;
const LEFT = 120;
const ROW = 46;

/** Every bench's result with its uncertainty on one line for each product, the accepted value behind them. */
export function ClassDots({ comparison, colour }: { comparison: Comparison; colour: string }) {
  const { low, high, products, label, unit, sentence } = comparison;
  const at = (value: number) => LEFT + ((value - low) / (high - low)) * (WIDTH - LEFT - 10);
  const height = products.length * ROW + 26;
  return (
    <Box
      component="section"
      sx={{ mt: 2, bgcolor: ink.sheet, border: `1px solid ${ink.rule}`, borderRadius: 2, p: 2 }}
    >
      <Box component="h2" sx={{ m: 0, fontSize: 16 }}>
        {label}
        {unit && `, ${unit}`}: the class
      </Box>
      <Box sx={{ color: ink.inkSoft, fontSize: 14, mb: 1 }}>{sentence}</Box>
      <svg
        viewBox={`0 0 ${WIDTH} ${height}`}
        role="img"
        aria-label={sentence}
        style={{ width: '100%', maxHeight: 240, display: 'block' }}
      >
        {products.map((product, place) => {
          const y = place * ROW + ROW / 2;
          return (
            <g key={product.label}>
              <text x={0} y={y + 4} fill={ink.ink} style={{ fontSize: 12.5 }}>
                {product.label || 'all benches'}
              </text>
              <line x1={LEFT} x2={WIDTH - 10} y1={y} y2={y} stroke={ink.ruleSoft} />
              {product.accepted !== null && (
                <line
                  x1={at(product.accepted)}
                  x2={at(product.accepted)}
                  y1={y - 20}
                  y2={y + 20}
                  stroke={ink.keep}
                  strokeWidth={2}
                  strokeDasharray="5 3"
                />
              )}
              <path d={`M${at(product.mean)} ${y - 16} l-5 -6 h10 z`} fill={ink.ink} />
              {product.results.map((result, nth) => (
                <Dot
                  key={result.bench}
                  {...result}
                  x={at(result.value)}
                  half={at(result.value + result.expanded) - at(result.value)}
                  y={y + ((nth % 3) - 1) * 8}
                  colour={colour}
                />
              ))}
            </g>
          );
        })}
        {[low, (low + high) / 2, high].map((value, place) => (
          <text
            key={place}
            x={at(value)}
            y={height - 6}
            textAnchor={(['start', 'middle', 'end'] as const)[place]}
            fill={ink.inkSoft}
            style={{ fontFamily: FIGURES, fontSize: 11 }}
          >
            {Number(value.toPrecision(4))}
          </text>
        ))}
      </svg>
      <Box sx={{ color: ink.inkSoft, fontSize: 13 }}>
        Dots are benches with their 95 % intervals, the triangle their mean
        {products.some((product) => product.accepted !== null) && ', the dashed line the accepted value'}.
      </Box>
    </Box>
  );
}

interface DotProps {
  bench: number;
  x: number;
  y: number;
  half: number;
  colour: string;
}

function Dot({ bench, x, y, half, colour }: DotProps) {
  return (
    <g>
      <title>Bench {bench}</title>
      <line
        x1={Math.max(x - half, LEFT)}
        x2={Math.min(x + half, WIDTH - 10)}
        y1={y}
        y2={y}
        stroke={colour}
        strokeWidth={1.4}
        opacity={0.55}
      />
      <circle cx={x} cy={y} r={4} fill={colour} stroke={ink.sheet} />
    </g>
  );
}
