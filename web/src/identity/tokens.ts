/** Paper and ink. Every colour of the application has its role here, in a light and a dark printing. */

const roles = {
  ground: ['#F6F4EF', '#14191F'],
  sheet: ['#FFFEFB', '#1B2129'],
  ruleSoft: ['#E3DED3', '#2C343F'],
  rule: ['#CFC8BA', '#404B58'],
  ink: ['#1C2530', '#EEF0EC'],
  inkSoft: ['#566071', '#A9B2BF'],
  deep: ['#16405B', '#1F5878'],
  onDeep: ['#FFFFFF', '#FFFFFF'],
  deepSoft: ['#C6D8E4', '#C6D8E4'],
  link: ['#16405B', '#9CCBE6'],
  liquid: ['#DCE8F2', '#24435A'],
  keep: ['#23704A', '#7CCB9F'],
  keepWash: ['#E2F2E8', '#1C3428'],
  look: ['#8A5A00', '#E3B34E'],
  lookWash: ['#FBF0D6', '#3A2F16'],
  repeat: ['#4A3F9F', '#B4ABF5'],
  repeatWash: ['#E9E7F8', '#2B2848'],
  stop: ['#A32020', '#F59A94'],
  stopWash: ['#FBE3E1', '#42201F'],
  titration: ['#B8326B', '#EE86B2'],
  spectrophotometry: ['#A87C00', '#E2B93E'],
  gas: ['#2374A8', '#7DBCE4'],
  calorimetry: ['#B9501A', '#EE9564'],
  gravimetric: ['#566B7D', '#A5B8C8'],
  electrochemistry: ['#2B7566', '#74C3B1'],
  kinetics: ['#6A3FA0', '#BB98EA'],
  solutions: ['#4D6B2F', '#A5C67F'],
} as const;

export type RoleName = keyof typeof roles;

const printing = (column: 0 | 1) =>
  Object.fromEntries(Object.entries(roles).map(([name, pair]) => [name, pair[column]])) as Record<
    RoleName,
    string
  >;

export const light = printing(0);
export const dark = printing(1);

/** The role as a CSS variable, right in both printings. */
export const ink = Object.fromEntries(
  Object.keys(roles).map((name) => [name, `var(--mui-palette-roles-${name})`]),
) as Record<RoleName, string>;

/** A family's accent: stripe, rail, chart line, the field in hand. Never state. */
export function accent(family: string): string {
  return family in roles ? ink[family as RoleName] : ink.deep;
}

/** An accent as text: drawn towards the ink until it can be read on paper. */
export const asText = (colour: string) => `color-mix(in srgb, ${colour} 62%, ${ink.ink})`;

export const TEXT = '"Atkinson Hyperlegible Next Variable", "Atkinson Hyperlegible Next", sans-serif';
export const FIGURES = '"Atkinson Hyperlegible Mono Variable", "Atkinson Hyperlegible Mono", monospace';
