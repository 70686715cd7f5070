import type { Shapes } from '../api/client';
import { asText, FIGURES, ink } from '../identity/tokens';
import { meniscusPath } from './scale';

interface Shape {
  height: number;
  glass: string;
  liquid: string;
  /** Left and right wall at the mark, and where it and the volume stand. */
  neck: [number, number];
  mark: number;
  volume: number;
}

const PIPETTE: Shape = {
  height: 440,
  glass:
    'M117 10 V150 C117 170 96 176 96 200 V290 C96 314 117 322 117 344 V410 L122 432 H128 L133 410 V344 C133 322 154 314 154 290 V200 C154 176 133 170 133 150 V10',
  liquid:
    'M118.5 92 V151 C118.5 172 97.5 178 97.5 200 V290 C97.5 312 118.5 320 118.5 344 V410 L122 431 H128 L131.5 410 V344 C131.5 320 152.5 312 152.5 290 V200 C152.5 178 131.5 172 131.5 151 V92 Q125 100 118.5 92Z',
  neck: [118, 132],
  mark: 96,
  volume: 250,
};

const FLASK: Shape = {
  height: 380,
  glass:
    'M112 12 h26 v178 C138 214 206 250 206 304 C206 344 178 362 160 362 H90 C72 362 44 344 44 304 C44 250 112 214 112 190z',
  liquid:
    'M113.5 92 Q125 100 136.5 92 V190 C136.5 216 204 250 204 304 C204 342 178 360 160 360 H90 C72 360 46 342 46 304 C46 250 113.5 216 113.5 190z',
  neck: [113, 137],
  mark: 97,
  volume: 306,
};

/** Glass with one mark, filled to it: a pipette or a flask. */
export function OneMark({ tool, colour }: { tool: Shapes['Instrument']; colour: string }) {
  const { height, glass, liquid, neck, mark, volume } = tool.kind === 'flask' ? FLASK : PIPETTE;
  const [left, right] = neck;
  return (
    <svg
      viewBox={`0 0 250 ${height}`}
      role="img"
      aria-label={`${tool.short} filled to its mark`}
      style={{ width: '100%', height: '100%', maxHeight: height }}
    >
      <path d={glass} fill={ink.sheet} stroke={ink.inkSoft} strokeWidth={2.2} />
      <path d={liquid} fill={ink.liquid} />
      <path d={meniscusPath(left, right, 94, 3)} fill="none" stroke={ink.deep} strokeWidth={2} />
      <line x1={left - 14} x2={right + 14} y1={mark} y2={mark} stroke={colour} strokeWidth={2.2} />
      <text x={right + 23} y={mark + 5} fill={asText(colour)} style={{ fontSize: 14, fontWeight: 700 }}>
        the mark
      </text>
      <text
        x={125}
        y={volume}
        textAnchor="middle"
        fill={ink.ink}
        style={{ fontFamily: FIGURES, fontSize: 21 }}
      >
        {Number(tool.high)}
      </text>
      <text x={125} y={volume + 19} textAnchor="middle" fill={ink.inkSoft} style={{ fontSize: 12 }}>
        {tool.unit}
      </text>
    </svg>
  );
}
