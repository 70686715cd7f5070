import type { Shapes } from '../api/client';
import { asText, ink } from '../identity/tokens';

type Shape = Shapes['Shape'];

const mixed = (colour: string, share: number) => `color-mix(in srgb, ${colour} ${share}%, ${ink.sheet})`;

/** What an area is filled with, in both printings; `colour` is the family's accent. */
export const fills = (colour: string): Record<Shape['fill'], string> => ({
  '': 'none',
  water: ink.liquid,
  colour: mixed(colour, 38),
  deep: mixed(colour, 82),
  acid: mixed(ink.look, 34),
  solid: mixed(ink.inkSoft, 32),
  metal: mixed(ink.inkSoft, 62),
  'other metal': mixed(ink.calorimetry, 62),
  flame: mixed(ink.calorimetry, 80),
  sheet: ink.sheet,
  skin: mixed(ink.calorimetry, 16),
  stopper: ink.rule,
  // What an indicator shows is what it is: these are the same in every family.
  pink: '#F6C9DC',
  magenta: '#C2357F',
  red: '#D9534A',
  orange: '#E8923C',
  yellow: '#EBD152',
  green: '#5FA866',
  blue: '#4B83C3',
  violet: '#7B5BB0',
});

/** What a line is drawn with. */
export const pens = (
  colour: string,
): Record<Shape['pen'], { stroke: string; width: number; dash?: string }> => ({
  '': { stroke: 'none', width: 0 },
  line: { stroke: ink.ink, width: 2 },
  fine: { stroke: ink.inkSoft, width: 1 },
  dashed: { stroke: ink.inkSoft, width: 1.2, dash: '4 3' },
  accent: { stroke: asText(colour), width: 2 },
  warn: { stroke: ink.stop, width: 2 },
  heavy: { stroke: ink.ink, width: 4 },
});

/** What words in a drawing are written with. */
export const words = (colour: string): Record<Shapes['Words']['tone'], { fill: string; weight: number }> => ({
  plain: { fill: ink.ink, weight: 400 },
  soft: { fill: ink.inkSoft, weight: 400 },
  accent: { fill: asText(colour), weight: 700 },
  warn: { fill: ink.stop, weight: 700 },
  figure: { fill: ink.ink, weight: 600 },
});
