import { done, refused, type Outcome } from '../outcome/index.ts';
import type { Character, Unit } from '../vocabulary/index.ts';
import { unitFactor, type RangeValue } from './score.ts';

/** Metres (or kg/m³) of one written unit. */
const LENGTHS: Record<string, number> = {
  m: 1,
  cm: 0.01,
  mm: 0.001,
  ft: 0.3048,
  "'": 0.3048,
  in: 0.0254,
  '"': 0.0254,
};
const DENSITIES: Record<string, number> = {
  'kg/m³': 1,
  'kg/m3': 1,
  'g/cm³': 1000,
  'g/cm3': 1000,
  'lb/ft³': 16.0185,
  'lb/ft3': 16.0185,
};
const SPELLED: Record<string, string> = {
  feet: 'ft',
  foot: 'ft',
  inches: 'in',
  inch: 'in',
  metres: 'm',
  meters: 'm',
  metre: 'm',
  meter: 'm',
  centimetres: 'cm',
  centimeters: 'cm',
  millimetres: 'mm',
  millimeters: 'mm',
  '″': '"',
  '′': "'",
  degrees: '°',
  deg: '°',
  percent: '%',
  yr: 'years',
  yrs: 'years',
  year: 'years',
};
const VULGAR: Record<string, string> = {
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  '⅓': '1/3',
  '⅔': '2/3',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
};

const NUMBER = String.raw`\d+(?:\.\d+)?(?:\s+\d+\/\d+)?|\d+\/\d+|\.\d+`;

/**
 * Reads a range as botanists write it: `(4)5–9(10)`, `4-7 in`, `1/4–1/2 in`, `to 25 m`, `about 5 cm`, `9–13, odd`,
 * `10–many`. A number without a unit is taken in the character's own display unit.
 * @returns the range in stored units (metres, kg/m³, or the unit itself), or what is wrong and how to write it.
 */
export function parseRange(text: string, character: Character): Outcome<RangeValue> {
  const name = character.term;
  const plain = simplify(text);
  if (!plain) return refused(`Write ${name} as a number or a range, such as ${example(character)}.`);

  const { body, unit } = splitUnit(plain);
  const factor = factorOf(unit, character);
  if (!factor.ok) return factor;

  const numbers = body.match(new RegExp(NUMBER, 'g'));
  if (!numbers)
    return refused(`“${text.trim()}” has no number in it. Write ${name} like ${example(character)}.`);
  const value = readParts(body, factor.value);
  if (!value)
    return refused(
      `“${text.trim()}” could not be read as a range. Write ${name} like ${example(character)}.`,
    );
  if (character.kind === 'count') {
    const whole = [value.min, value.low, value.high, value.max, value.typical].every(
      (n) => n === undefined || Math.abs(n - Math.round(n)) < 1e-9,
    );
    if (!whole)
      return refused(`${capital(name)} are counted: write whole numbers, such as ${example(character)}.`);
  }
  return done(value);
}

function simplify(text: string): string {
  let plain = text.trim().toLowerCase();
  for (const [glyph, fraction] of Object.entries(VULGAR)) plain = plain.replaceAll(glyph, ` ${fraction}`);
  return plain
    .replace(/[–—−]/g, '-')
    .replace(/\s+or\s+|(?<!up)\s+to\s+(?=[\d(.])|\s*\.\.\s*/g, '-')
    .replace(/[″”“]/g, '"')
    .replace(/[′’]/g, "'")
    .replace(/\bper (?=cm)/g, '')
    .replace(/\s+/g, ' ')
    .trim();
}

/** Takes the unit off the end. A unit written after both ends ("4 in - 7 in") must be the same one. */
function splitUnit(plain: string): { body: string; unit: string | undefined } {
  const found = [...plain.matchAll(/(?<=[\d)\s+])(kg\/m[³3]|g\/cm[³3]|lb\/ft[²2³3]|[a-z]+|["'°%″′])/g)]
    .map((match) => match[0])
    .map((word) => SPELLED[word] ?? word)
    .filter((word) => !['odd', 'even', 'many', 'about', 'up', 'to', 'or'].includes(word));
  const body = plain
    .replace(/kg\/m[³3]|g\/cm[³3]|lb\/ft[²2³3]/g, '')
    .replace(/(?<=[\d)\s+])(?!odd|even|many|to\b)([a-z]+|["'°%])/g, '');
  return { body: body.trim(), unit: new Set(found).size > 1 ? found.join(' and ') : found[0] };
}

function factorOf(unit: string | undefined, character: Character): Outcome<number> {
  if (unit === undefined) return done(unitFactor(character));
  if (unit.includes(' and ')) return refused(`Two units in one range (${unit}). Use one for both ends.`);
  const own = character.unit;
  if (isLength(own)) {
    const metres = LENGTHS[unit];
    if (metres) return done(metres);
    return refused(
      `“${unit}” is no length. ${capital(character.term)} is given in ${own}, mm, cm, m, in or ft.`,
    );
  }
  if (own === 'kg/m³') {
    const density = DENSITIES[unit];
    if (density) return done(density);
    if (/lb\/ft[²2]/.test(unit)) return refused('lb/ft² is a weight on an area. Did you mean lb/ft³?');
    return refused(`“${unit}” is no density. Use kg/m³, g/cm³ or lb/ft³.`);
  }
  if (own === unit || (own === '1/cm' && unit === 'cm')) return done(1);
  if (own === undefined)
    return refused(
      `${capital(character.term)} are counted and have no unit; “${unit}” does not belong here.`,
    );
  return refused(`“${unit}” does not fit: ${character.term} is given in ${own}.`);
}

const isLength = (unit: Unit | undefined) => unit === 'm' || unit === 'cm' || unit === 'mm';

function readParts(body: string, factor: number): RangeValue | undefined {
  const scaled = (text: string) => round(readNumber(text) * factor);
  const odd = /\b(odd|even)\b/.test(body);
  const many = /\bmany\b|\+\s*$/.test(body);
  const about = /^(about|ca\.?|c\.|~|usually)\s*/.test(body);
  const core = body
    .replace(/[,;]?\s*\b(odd|even)\b/, '')
    .replace(/^(about|ca\.?|c\.|~|usually)\s*/, '')
    .replace(/\+\s*$/, '')
    .trim();
  const extra = { ...(odd ? { step: 2 } : {}), ...(many ? { open: true } : {}) };

  const upTo = new RegExp(`^(?:up to|to|under|<)\\s*(${NUMBER})$`).exec(core);
  if (upTo) return { kind: 'range', high: scaled(upTo[1]!), ...extra };

  const n = `(${NUMBER})`;
  const opening = `(?:\\(\\s*${n}\\s*-?\\s*\\)\\s*-?\\s*)?`;
  const closing = `(?:\\s*\\(\\s*-?\\s*${n}\\s*\\))?`;
  const range = new RegExp(`^${opening}${n}(?:\\s*-\\s*(?:${n}|many))?${closing}$`).exec(core);
  if (!range) return undefined;
  const [, min, low, high, max] = range;
  const value: RangeValue = { kind: 'range', ...extra };
  if (min) value.min = scaled(min);
  if (high || many) {
    value.low = scaled(low!);
    if (high) value.high = scaled(high);
  } else if (about) {
    value.typical = scaled(low!);
  } else {
    value.low = scaled(low!);
    value.high = scaled(low!);
  }
  if (max) value.max = scaled(max);
  return value;
}

function readNumber(text: string): number {
  return text
    .trim()
    .split(/\s+/)
    .map((part) => {
      const [over, under] = part.split('/').map(Number);
      return under ? over! / under : over!;
    })
    .reduce((sum, part) => sum + part, 0);
}

const round = (value: number) => Number(value.toPrecision(10));
const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

function example(character: Character): string {
  if (character.kind === 'count') return '5–9, or (4)5–9(10)';
  return `4–7 ${character.unit === '1' ? '' : (character.unit ?? '')}`.trim();
}
