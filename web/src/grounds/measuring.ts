import { plural, t } from '@lingui/core/macro';
import type { MeasuredKind, MeasurementBody } from '@hurrow/contract/grounds';
import {
  ageByGrowth,
  ageByRings,
  ageInWords,
  angleBy,
  diameterOf,
  FieldError,
  girthOfStems,
  heightBySine,
  heightByStick,
  heightByTangent,
  lengthBy,
  measuredInWords,
  repeated,
  spreadOfRadii,
  spreadOfWidths,
  type AngleInstrument,
  type LengthInstrument,
  type Measured,
  type Uncertain,
} from '@hurrow/core/field';
import type { Shot } from '@hurrow/core/nmea';
import { done, refused, type Outcome } from '@hurrow/core/outcome';
import type { UnitSystem } from '@hurrow/core/score';

export const METHODS = [
  'girth',
  'tangent',
  'sine',
  'stick',
  'widths',
  'radii',
  'bark',
  'furrow',
  'rings',
  'growth',
] as const;
export type Method = (typeof METHODS)[number];

export const METHOD_TITLES: Record<Method, string> = {
  girth: t`Girth`,
  tangent: t`Height by two angles`,
  sine: t`Height by range-finder`,
  stick: t`Height by stick`,
  widths: t`Crown, two widths`,
  radii: t`Crown, eight radii`,
  bark: t`Bark thickness`,
  furrow: t`Furrow depth`,
  rings: t`Age by rings`,
  growth: t`Age by growth, a guess`,
};

/** What is read, and in what it is written: metres or feet, centimetres or inches, millimetres or inches, degrees, or a plain number. */
export interface ReadField {
  name: string;
  label: string;
  in: 'long' | 'girth' | 'small' | 'angle' | 'number';
  optional?: boolean;
  hint?: string;
}

const read = (
  name: string,
  label: string,
  of: ReadField['in'],
  more: Partial<ReadField> = {},
): ReadField => ({ name, label, in: of, ...more });

export const FIELDS: Record<Method, readonly ReadField[]> = {
  girth: [
    read('girth', t`Around each stem at 1.37 m (4½ ft)`, 'girth', {
      hint: t`several stems with + between them`,
    }),
  ],
  tangent: [
    read('distance', t`From you to the stem`, 'long'),
    read('top', t`Angle to the top`, 'angle'),
    read('base', t`Angle to the foot; below you with −`, 'angle'),
    read('slope', t`Slope, where you measured along it`, 'angle', { optional: true }),
    read('beneath', t`It leans: from you to the point under its top`, 'long', { optional: true }),
  ],
  sine: [
    read('toTop', t`Straight to the top`, 'long'),
    read('top', t`Angle to the top`, 'angle'),
    read('toBase', t`Straight to the foot`, 'long'),
    read('base', t`Angle to the foot; below you with −`, 'angle'),
  ],
  stick: [
    read('distance', t`From you to the stem`, 'long'),
    read('reach', t`From your eye to the stick`, 'long'),
    read('covers', t`Of the stick, what covers the tree`, 'long'),
  ],
  widths: [
    read('longest', t`Longest width of the crown`, 'long'),
    read('across', t`Width across that`, 'long'),
  ],
  radii: [read('radii', t`From the stem to the edge, all around`, 'long', { hint: t`each after a ;` })],
  bark: [read('thickness', t`Thickness of the bark`, 'small', { hint: t`several places after a ;` })],
  furrow: [read('depth', t`Depth of the furrows`, 'small', { hint: t`several places after a ;` })],
  rings: [
    read('counts', t`Rings from the center outwards, neither pith nor bark`, 'number', {
      hint: t`each count after a ;`,
    }),
    read('cutHeight', t`Height of the cut above the ground`, 'long'),
    read('missing', t`Rings missing at the center`, 'number', { optional: true }),
  ],
  growth: [
    read('girth', t`Girth at 1.37 m (4½ ft)`, 'girth'),
    read('factor', t`Years for each centimetre of diameter`, 'number'),
  ],
};

const FOOT = 0.3048;
const INCH = 0.0254;

/** The unit that stands beside a field. */
export const unitOf = ({ in: of }: Pick<ReadField, 'in'>, units: UnitSystem): string =>
  of === 'angle'
    ? '°'
    : of === 'number'
      ? ''
      : units === 'metric'
        ? { long: 'm', girth: 'cm', small: 'mm' }[of]
        : { long: 'ft', girth: 'in', small: 'in' }[of];

/** One number as it is written: with comma or point, − or -, feet and inches as 64'4 or 64 4. Undefined where it is none. */
export function numberOf(text: string, field: Pick<ReadField, 'in'>, units: UnitSystem): number | undefined {
  const plain = text
    .trim()
    .replace(/,/g, '.')
    .replace(/[−–]/g, '-')
    .replace(/[’′]/g, "'")
    .replace(/["”″°]/g, '');
  const feet =
    units === 'imperial' && field.in === 'long'
      ? /^(\d+)(?:'\s*|\s+)(\d+(?:\.\d+)?)?$/.exec(plain.replace(/ft|in/g, "'"))
      : null;
  if (feet && /['\s]/.test(plain)) return Number(feet[1]) * FOOT + Number(feet[2] ?? 0) * INCH;
  if (!/^-?\d+(\.\d+)?$/.test(plain)) return undefined;
  const value = Number(plain);
  if (field.in === 'angle' || field.in === 'number') return value;
  if (units === 'metric') return value * { long: 1, girth: 0.01, small: 0.001 }[field.in];
  return value * { long: FOOT, girth: INCH, small: INCH }[field.in];
}

/** With what it is measured. */
export interface Setup {
  units: UnitSystem;
  length: LengthInstrument;
  angle: AngleInstrument;
}

export interface Result {
  kind: MeasuredKind;
  value: number;
  error: number;
  parts: number[];
  working: string[];
  /** “19.6 m ± 0.4 m”. */
  words: string;
}

/**
 * What comes of what was read. Readings of one field that were taken again stand with ; between them, and their mean counts.
 *
 * @param texts what is written in each field
 * @returns the result with its bar and working, or what is missing or cannot be
 */
export function resultOf(
  method: Method,
  texts: Readonly<Record<string, string>>,
  setup: Setup,
): Outcome<Result> {
  const { units } = setup;
  const readings = new Map<string, number[]>();
  for (const field of FIELDS[method]) {
    const text = texts[field.name]?.trim() ?? '';
    if (text === '' && field.optional) continue;
    if (text === '') return refused(t`${field.label}: nothing is read yet.`);
    const numbers = text
      .split(/[;+]/)
      .filter((piece) => piece.trim() !== '')
      .map((piece) => numberOf(piece, field, units));
    const stray = numbers.findIndex((value) => value === undefined);
    if (stray >= 0 || numbers.length === 0) return refused(t`${field.label}: “${text}” is no number.`);
    readings.set(field.name, numbers as number[]);
  }
  try {
    return done(COMPUTE[method](new Read(readings, setup), units));
  } catch (error) {
    if (error instanceof FieldError) return refused(error.message);
    throw error;
  }
}

/** What was read of each field, with the error of its instrument. */
class Read {
  readonly #readings: ReadonlyMap<string, number[]>;
  readonly #setup: Setup;
  constructor(readings: ReadonlyMap<string, number[]>, setup: Setup) {
    this.#readings = readings;
    this.#setup = setup;
  }
  all = (name: string): number[] => this.#readings.get(name) ?? [];
  has = (name: string): boolean => this.all(name).length > 0;
  length = (name: string, by: LengthInstrument = this.#setup.length): Uncertain => {
    const values = this.all(name);
    return repeated(values, lengthBy(by, values[0] ?? 0).sd);
  };
  angle = (name: string): Uncertain => repeated(this.all(name), angleBy(this.#setup.angle, 0).sd);
}

const asResult = (
  kind: MeasuredKind,
  { value, error, working }: Measured,
  units: UnitSystem,
  parts: number[] = [],
): Result => ({
  kind,
  value,
  error,
  parts,
  working,
  words: measuredInWords({ value, error }, units),
});

const COMPUTE: Record<Method, (of: Read, units: UnitSystem) => Result> = {
  girth: (of, units) => {
    const stems = of.all('girth');
    return asResult(
      'girth',
      girthOfStems(
        stems.map((girth) => lengthBy('girthTape', girth)),
        units,
      ),
      units,
      stems,
    );
  },
  tangent: (of, units) =>
    asResult(
      'height',
      heightByTangent(
        {
          distance: of.length('distance'),
          top: of.angle('top'),
          base: of.angle('base'),
          ...(of.has('slope') ? { slope: of.angle('slope') } : {}),
          ...(of.has('beneath') ? { beneathTop: of.length('beneath') } : {}),
        },
        units,
      ),
      units,
    ),
  sine: (of, units) =>
    asResult(
      'height',
      heightBySine(
        {
          toTop: of.length('toTop', 'rangeFinder'),
          top: of.angle('top'),
          toBase: of.length('toBase', 'rangeFinder'),
          base: of.angle('base'),
        },
        units,
      ),
      units,
    ),
  stick: (of, units) =>
    asResult(
      'height',
      heightByStick(
        {
          distance: of.length('distance'),
          reach: of.length('reach', 'tape'),
          covers: of.length('covers', 'tape'),
        },
        units,
      ),
      units,
    ),
  widths: (of, units) =>
    asResult('spread', spreadOfWidths([of.length('longest'), of.length('across')], units), units),
  radii: (of, units) =>
    asResult(
      'spread',
      spreadOfRadii(
        of.all('radii').map((radius) => lengthBy('tape', radius)),
        units,
      ),
      units,
    ),
  bark: (of, units) =>
    asResult('bark', meanSmall(of.length('thickness', 'rule'), of.all('thickness').length), units),
  furrow: (of, units) =>
    asResult('furrow', meanSmall(of.length('depth', 'rule'), of.all('depth').length), units),
  rings: (of) => {
    const age = ageByRings({
      counts: of.all('counts'),
      cutHeight: of.length('cutHeight', 'tape').value,
      ...(of.has('missing') ? { missing: of.all('missing')[0]! } : {}),
    });
    return {
      kind: 'age',
      value: age.years,
      error: (age.to - age.from) / 2,
      parts: [],
      working: age.working,
      words: ageInWords(age),
    };
  },
  growth: (of) => {
    const { value, sd } = of.length('girth', 'girthTape');
    const age = ageByGrowth({ value: diameterOf(value), sd: diameterOf(sd) }, of.all('factor')[0]!);
    return {
      kind: 'age',
      value: age.years,
      error: (age.to - age.from) / 2,
      parts: [],
      working: age.working,
      words: ageInWords(age),
    };
  },
};

const meanSmall = ({ value, sd }: Uncertain, n: number): Measured => {
  if (!(value > 0 && value < 0.5))
    throw new FieldError(
      t`That cannot be: bark is between a tenth of a millimetre and half a metre. Measure again.`,
    );
  return {
    value,
    error: 1.96 * sd,
    working: [
      plural(n, {
        one: 'Measured at one place: take some more around the stem.',
        other: 'Mean of # places.',
      }),
    ],
  };
};

/** A shot of the range-finder put where it belongs: to the top where it points up and that is open, to the foot otherwise. */
export function withShot(
  texts: Readonly<Record<string, string>>,
  { distance, angle }: Shot,
  units: UnitSystem,
): Record<string, string> {
  const isTop = !texts['toTop'] || (Boolean(texts['toBase']) && angle > 0);
  const far = units === 'metric' ? distance.toFixed(2) : (distance / FOOT).toFixed(1);
  return isTop
    ? { ...texts, toTop: far, top: angle.toFixed(1) }
    : { ...texts, toBase: far, base: angle.toFixed(1) };
}

/** A text after one of the big keys: digits are added, − changes the sign, ⌫ takes the last away. */
export function pressed(text: string, key: string): string {
  if (key === '⌫') return text.slice(0, -1);
  if (key === '−') return text.startsWith('-') ? text.slice(1) : `-${text}`;
  return text + key;
}

/** With what an angle is taken by each method, unless something else is chosen. */
export const usualAngle = (method: Method): AngleInstrument =>
  method === 'sine' ? 'rangeFinder' : 'clinometer';

/** What is kept of a result. */
export const bodyOfResult = (
  treeId: string,
  day: string,
  method: Method,
  { kind, value, error, parts, working }: Result,
  toProfile: boolean,
): MeasurementBody => ({
  treeId,
  day,
  kind,
  value,
  error,
  parts,
  working: [`${METHOD_TITLES[method]}.`, ...working],
  toProfile,
});
