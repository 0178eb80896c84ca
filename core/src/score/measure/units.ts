import type { Unit } from '../../vocabulary/index.ts';

/** What a unit measures. */
export type Dimension =
  | 'length'
  | 'density'
  | 'angle'
  | 'share'
  | 'time'
  | 'per length'
  | 'acidity'
  | 'weight'
  | 'weight on an area';

export interface WrittenUnit {
  /** As it is called in messages. */
  name: string;
  of: Dimension;
  /** Metres, kg/m³, degrees, percent, years or one per cm of one such unit. */
  factor: number;
}

/** How units are written; the first that fits is taken, so longer ones stand first. */
const SPELLED: [pattern: string, name: string, of: Dimension, factor: number][] = [
  [String.raw`kg\s*\/\s*m(?:\^?3|³)|kg\s*m(?:-3|⁻³)|kg per cubic met(?:er|re)`, 'kg/m³', 'density', 1],
  [
    String.raw`g\s*\/\s*cm(?:\^?3|³)|g\s*cm(?:-3|⁻³)|g\s*\/\s*(?:cc|ml)|grams? per (?:cubic centimet(?:er|re)|cc)`,
    'g/cm³',
    'density',
    1000,
  ],
  [
    String.raw`(?:lbs?|pounds?)\s*\/\s*(?:cu(?:bic)?\.?\s*)?ft(?:\^?3|³)|(?:lbs?|pounds?)\s*\/\s*cu(?:bic)?\.?\s*f(?:oo)?t|(?:lbs?|pounds?) per cu(?:bic)?\.? (?:foot|ft)|pcf`,
    'lb/ft³',
    'density',
    16.0185,
  ],
  [
    String.raw`(?:lbs?|pounds?)\s*\/\s*(?:sq\.?\s*ft|ft(?:\^?2|²))|(?:lbs?|pounds?) per (?:square|sq\.?) (?:foot|ft)|psf`,
    'lb/ft²',
    'weight on an area',
    1,
  ],
  [String.raw`(?:per|\/)\s*cm|cm(?:-1(?!\s*[a-z\d.])|⁻¹)|per centimet(?:er|re)`, 'per cm', 'per length', 1],
  [String.raw`(?:per|\/)\s*(?:inch|in)`, 'per inch', 'per length', 1 / 2.54],
  [String.raw`(?:per|\/)\s*mm`, 'per mm', 'per length', 10],
  [String.raw`km|kilomet(?:er|re)s?`, 'km', 'length', 1000],
  [String.raw`cms?|centimet(?:er|re)s`, 'cm', 'length', 0.01],
  [String.raw`mms?|millimet(?:er|re)s`, 'mm', 'length', 0.001],
  [String.raw`µm|μm|microns?|micromet(?:er|re)s?`, 'µm', 'length', 1e-6],
  [String.raw`dm|decimet(?:er|re)s?`, 'dm', 'length', 0.1],
  [String.raw`m|met(?:er|re)s?`, 'm', 'length', 1],
  [String.raw`ft|feet|foot|'(?!')`, 'ft', 'length', 0.3048],
  [String.raw`inch(?:es)?|in|"|''`, 'in', 'length', 0.0254],
  [String.raw`yards?|yds?`, 'yd', 'length', 0.9144],
  [String.raw`°|degrees?|deg`, '°', 'angle', 1],
  [String.raw`%|percent|per cent|pct`, '%', 'share', 1],
  [String.raw`years?|yrs?`, 'years', 'time', 1],
  [String.raw`centur(?:y|ies)`, 'centuries', 'time', 100],
  [String.raw`ph`, 'pH', 'acidity', 1],
  [String.raw`kgs?|g|grams?|lbs?|pounds?|oz`, 'a weight', 'weight', 1],
];

const SIGNS = /^(?:['"°%])/;
const UNITS = SPELLED.map(([pattern, name, of, factor]) => ({
  // A word ends where its letters end; a sign ends anywhere. A full stop may stand behind either.
  read: new RegExp(`^(?:${pattern})(?:(?![a-z³²⁻^])\\.?|(?<=['"°%]))`),
  unit: { name, of, factor } satisfies WrittenUnit,
}));

/** The unit that a text begins with, and how much of it is the unit. */
export function unitAtStart(text: string): { unit: WrittenUnit; length: number } | undefined {
  if (!/^[a-zµμ/]/.test(text) && !SIGNS.test(text)) return undefined;
  for (const { read, unit } of UNITS) {
    const found = read.exec(text);
    if (found) return { unit, length: found[0].length };
  }
  return undefined;
}

/** What a character's own unit measures; nothing for what is counted. */
export function dimensionOf(unit: Unit | undefined): Dimension | undefined {
  switch (unit) {
    case 'm':
    case 'cm':
    case 'mm':
      return 'length';
    case 'kg/m³':
      return 'density';
    case '°':
      return 'angle';
    case '%':
      return 'share';
    case 'years':
      return 'time';
    case '1/cm':
      return 'per length';
    case 'pH':
      return 'acidity';
    default:
      return undefined;
  }
}
