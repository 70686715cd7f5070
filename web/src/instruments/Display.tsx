import type { Shapes } from '../api/client';
import { FIGURES, ink } from '../identity/tokens';

/** A digital instrument: its display with every digit it has, the missing ones as empty places. */
export function Display({ tool, text }: { tool: Shapes['Instrument']; text: string }) {
  const decimals = text.includes('.') ? text.length - text.indexOf('.') - 1 : 0;
  const missing = text ? '_'.repeat(Math.max(0, tool.decimals - decimals)) : '';
  const filled = missing && !text.includes('.') ? `${text}.${missing}` : `${text}${missing}`;
  const unit = tool.unit.length * 9 + 12; // its place at the right end of the glass
  const size = Math.min(29, (160 - unit) / (Math.max(filled.length, 1) * 0.64));
  return (
    <svg
      viewBox="0 0 250 230"
      role="img"
      aria-label={`${tool.short} showing ${text || 'nothing'}`}
      style={{ width: '100%', maxHeight: 300 }}
    >
      {tool.kind === 'balance' && <Pan />}
      <path
        d="M26 80 h198 l14 116 a10 10 0 0 1 -10 10 h-206 a10 10 0 0 1 -10 -10z"
        fill={ink.ruleSoft}
        stroke={ink.inkSoft}
        strokeWidth={2}
      />
      <rect x={36} y={104} width={178} height={62} rx={6} fill={ink.liquid} stroke={ink.inkSoft} />
      <text
        x={208 - unit}
        y={147}
        textAnchor="end"
        fill={ink.ink}
        style={{ fontFamily: FIGURES, fontSize: size, letterSpacing: 0.5 }}
      >
        {filled || '–'}
      </text>
      <text x={208} y={147} textAnchor="end" fill={ink.ink} style={{ fontFamily: FIGURES, fontSize: 15 }}>
        {tool.unit}
      </text>
      <text x={125} y={190} textAnchor="middle" fill={ink.inkSoft} style={{ fontSize: 12 }}>
        step {tool.graduation} {tool.unit}
      </text>
    </svg>
  );
}

function Pan() {
  return (
    <>
      <ellipse cx={125} cy={42} rx={84} ry={13} fill={ink.sheet} stroke={ink.inkSoft} strokeWidth={2} />
      <path d="M113 54 h24 v26 h-24z" fill={ink.ruleSoft} stroke={ink.inkSoft} strokeWidth={1.5} />
    </>
  );
}
