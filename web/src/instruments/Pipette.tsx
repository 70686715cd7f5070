import type { Shapes } from '../api/client';
import { FIGURES, ink } from '../identity/tokens';
import { meniscusPath } from './scale';

/** A one-mark pipette filled to its mark. */
export function Pipette({ tool, colour }: { tool: Shapes['Instrument']; colour: string }) {
  return (
    <svg
      viewBox="0 0 250 440"
      role="img"
      aria-label={`${tool.short} filled to its mark`}
      style={{ width: '100%', height: '100%', maxHeight: 440 }}
    >
      <path
        d="M117 10 V150 C117 170 96 176 96 200 V290 C96 314 117 322 117 344 V410 L122 432 H128 L133 410 V344 C133 322 154 314 154 290 V200 C154 176 133 170 133 150 V10"
        fill={ink.sheet}
        stroke={ink.inkSoft}
        strokeWidth={2.2}
      />
      <path
        d="M118.5 92 V151 C118.5 172 97.5 178 97.5 200 V290 C97.5 312 118.5 320 118.5 344 V410 L122 431 H128 L131.5 410 V344 C131.5 320 152.5 312 152.5 290 V200 C152.5 178 131.5 172 131.5 151 V92 Q125 100 118.5 92Z"
        fill={ink.liquid}
      />
      <path d={meniscusPath(118, 132, 94, 3)} fill="none" stroke={ink.deep} strokeWidth={2} />
      <line x1={104} x2={146} y1={96} y2={96} stroke={colour} strokeWidth={2.2} />
      <text x={156} y={101} fill={colour} style={{ fontSize: 14, fontWeight: 700 }}>
        the mark
      </text>
      <text x={125} y={250} textAnchor="middle" fill={ink.ink} style={{ fontFamily: FIGURES, fontSize: 20 }}>
        {Number(tool.high)}
      </text>
      <text x={125} y={268} textAnchor="middle" fill={ink.inkSoft} style={{ fontSize: 12 }}>
        {tool.unit}
      </text>
    </svg>
  );
}
