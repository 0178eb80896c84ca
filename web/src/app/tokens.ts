/**
 * Every colour of Hurrow. The style sheets get each as a custom property, `onInk` as `--on-ink` (see vite.config.ts); Ant Design gets its
 * theme from here; drawings made in the page take `color('onInk')`.
 */
export const COLORS = {
  /** Behind everything. */
  ground: '#ecf1ee',
  /** What is written on. */
  sheet: '#ffffff',
  /** Behind drawings and the months. */
  paper: '#f6f8f6',
  ink: '#17262b',
  /** Words that stand back. */
  ink2: '#4c5d60',
  /** Words that stand back further: what is not yet filled in. */
  ink3: '#5f6f72',
  line: '#d6dedb',
  line2: '#b9c6c3',
  /** What can be pressed, and what settles. */
  action: '#1d6a70',
  actionPale: '#d3e4e1',
  good: '#2f6b4a',
  /** What is wrong or mixed up. */
  rust: '#a5391d',
  rustPale: '#f5e2db',
  /** What is doubtful. */
  gold: '#8a6410',
  goldPale: '#fbf2da',
  goldInk: '#5d430a',
  leaf: '#7fa890',
  /** A row that is open. */
  chosen: '#eef4f1',
  /** What fills up. */
  track: '#cfdcd6',
  tray: '#d2ddd8',
  /** The bar at the top of a phone, and what is written on it. */
  bar: '#17262b',
  onBar: '#ffffff',
  /** On the dark bar. */
  onInk: '#b9cac4',
  onInkBright: '#dbe6e1',
  inkField: '#22353a',
  inkLine: '#52686c',
  /** Under a drawing, in every look. */
  drawn: '#f6f8f6',
  /** Written on that ground, in every look. */
  onDrawn: '#17262b',
  /** Under a photograph. */
  stage: '#dfe5e2',

  sea: '#dfe9ec',
  land: '#f7f8f4',
  graticule: '#c9d8dc',
  rangeNative: '#3f8f86',
  rangeIntroduced: '#c79a2e',
  rangePlanted: '#e8cf8a',
  rangeRare: '#1f4e63',
  rangeGone: '#b9b4ad',

  seasonFlowers: '#c9a227',
  seasonFruit: '#6d4a63',

  glyphBlade: '#6f9a58',
  glyphNeedle: '#4f7a4c',
  glyphWood: '#7d6249',
  glyphScale: '#8f7257',
  glyphBark: '#9a9c96',
  glyphOther: '#888888',
  glyphLight: '#f4f4ee',
  insetRim: '#8aa0a0',
} as const;

type ColorName = keyof typeof COLORS;

/** Name of the custom property of a colour. `propertyOf('onInk')` is `--on-ink`, `propertyOf('line2')` is `--line-2`. */
export const propertyOf = (name: string): string =>
  `--${name.replace(/[A-Z]|\d+/g, (part) => `-${part.toLowerCase()}`)}`;

/** A colour where CSS or SVG takes one. */
export const color = (name: ColorName): string => `var(${propertyOf(name)})`;

/**
 * Other looks of a phone. Drawings keep their light ground in each: they are made of dark lines. `daylight` is for the sun: black on white, no
 * shade that stands back; `dark` for dusk and the dark of a lecture hall.
 */
export const LOOKS: Record<'daylight' | 'dark', Partial<Record<ColorName, string>>> = {
  daylight: {
    ground: '#ffffff',
    paper: '#ffffff',
    ink: '#000000',
    ink2: '#000000',
    ink3: '#1c1c1c',
    line: '#000000',
    line2: '#000000',
    action: '#00383d',
    actionPale: '#bfe6e4',
    rust: '#7a1b05',
    rustPale: '#ffffff',
    gold: '#4a3300',
    goldPale: '#fff7d6',
    goldInk: '#2b1e00',
    leaf: '#00383d',
    track: '#c8c8c8',
    chosen: '#ffffff',
    bar: '#000000',
  },
  dark: {
    ground: '#0d1517',
    sheet: '#121d20',
    paper: '#18262a',
    ink: '#e6eeea',
    ink2: '#b3c2bd',
    ink3: '#9aaaa6',
    line: '#2d3d41',
    line2: '#4b5f63',
    action: '#8fd0ca',
    actionPale: '#1d3a3d',
    good: '#8fcda9',
    rust: '#f0a48d',
    rustPale: '#3d2019',
    gold: '#dcb75c',
    goldPale: '#33290f',
    goldInk: '#f2dca3',
    leaf: '#6fa187',
    chosen: '#1a292c',
    track: '#2d3d41',
    bar: '#060b0c',
    onBar: '#e6eeea',
  },
};

const asDeclarations = (colors: Partial<Record<string, string>>): string =>
  Object.entries(colors)
    .map(([name, value]) => `${propertyOf(name)}: ${value};`)
    .join('\n  ');

/** All colours as declarations of a style sheet. */
export const declarations = (): string => asDeclarations(COLORS);

/** The other looks as rules of a style sheet, for a page whose root says `data-look`. */
export const lookRules = (): string =>
  Object.entries(LOOKS)
    .map(([look, colors]) => `:root[data-look='${look}'] {\n  ${asDeclarations(colors)}\n}`)
    .join('\n');
