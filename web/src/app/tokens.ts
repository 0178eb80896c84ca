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
  /** On the dark bar. */
  onInk: '#b9cac4',
  onInkBright: '#dbe6e1',
  inkField: '#22353a',
  inkLine: '#52686c',
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

/** All colours as declarations of a style sheet. */
export const declarations = (): string =>
  Object.entries(COLORS)
    .map(([name, value]) => `${propertyOf(name)}: ${value};`)
    .join('\n  ');
