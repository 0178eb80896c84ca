import { done, refused, type Outcome } from '../outcome/index.ts';
import type { Character } from '../vocabulary/index.ts';
import { figuresOf, type Figure, type Quantity } from './measure/figures.ts';
import { tokensOf, type Settings } from './measure/tokens.ts';
import { dimensionOf, type WrittenUnit } from './measure/units.ts';
import { unitFactor, type RangeValue } from './score.ts';

/** How a number without more said is to be taken. */
export interface MeasureSettings extends Settings {
  /** Without a unit: the character's own, or feet, inches and lb/ft³. */
  units?: 'metric' | 'imperial';
}

/** From this number on botanists write “many”. */
const MANY = 10;

/**
 * Reads a range as botanists, gardeners and carpenters write it: `(4)5–9(10)`, `4-7 in (10–18 cm)`, `1-1/2″ to 3″`, `8 mm–2 cm`, `5'6″`, `up to
 * 25 m`, `over 1,200 ft`, `about 5 cm`, `5–9, usually 7`, `9–13, odd`, `10–many`. A number without a unit takes that of the other end, or the
 * character's own; a second figure in brackets in another unit is held against the first.
 *
 * @param settings what a number without a unit, and a comma, are taken for
 * @returns the range in stored units (metres, kg/m³, or the unit itself), or what is wrong and how to write it
 * @example
 * parseRange('8 mm–2 cm', leafLength); // { ok: true, value: { kind: 'range', low: 0.008, high: 0.02 } }
 */
export function parseRange(
  text: string,
  character: Character,
  settings: MeasureSettings = {},
): Outcome<RangeValue> {
  const name = character.term;
  const typed = text.trim();
  const like = `Write ${name} like ${example(character)}.`;
  if (character.kind === 'count' && /^(?:none|no|absent|nil)$/i.test(typed))
    return done({ kind: 'range', low: 0, high: 0 });
  if (!typed) return refused(`Write ${name} as a number or a range, such as ${example(character)}.`);

  if (isEitherThousand(typed, character, settings))
    return refused(
      `“${typed}” may be thousands or thousandths. Write it without a point, such as 1200, or with fewer decimals.`,
    );
  const { tokens, problem } = tokensOf(asMeasured(typed, character), wordsOf(character), settings);
  if (problem === 'a zero under the line') return refused(`“${typed}” has a zero under the line. ${like}`);
  if (problem === 'a negative number') return refused(`${capital(name)} cannot be below zero. ${like}`);
  const isNumber = tokens.some(({ is }) => is === 'number' || is === 'many');
  if (!isNumber) return refused(`“${typed}” has no number in it. ${like}`);
  if (problem) return refused(`“${problem.word}” in “${typed}” could not be read. ${like}`);

  const { figures, odd, times, problem: wrong } = figuresOf(tokens);
  if (times)
    return refused(
      `“${typed}” is two measures, length by width. Write one here and the other in its own row.`,
    );
  if (wrong || figures.length === 0) return refused(`“${typed}” could not be read as a range. ${like}`);
  const misfit = figures
    .flatMap(quantitiesOf)
    .map(({ unit }) => unit && misfitOf(unit, character))
    .find(Boolean);
  if (misfit) return refused(misfit);

  const scale = scaleFor(typed, figures, character, settings);
  const read = rangeOf(
    figures.filter((figure) => !isRepeat(figure, figures)),
    scale,
  );
  if (!read) return refused(`“${typed}” could not be read as a range. ${like}`);
  for (const repeat of figures.filter((figure) => isRepeat(figure, figures))) {
    const again = rangeOf([{ ...repeat, bracketed: false }], scale);
    if (!again || !agree(read, again))
      return refused(
        `The two figures in “${typed}” are not the same length. Leave out the one that is wrong.`,
      );
  }
  const value: RangeValue = { kind: 'range', ...read, ...(odd ? { step: 2 } : {}) };
  if (character.kind === 'count' && !isWhole(value))
    return refused(`${capital(name)} are counted: write whole numbers, such as ${example(character)}.`);
  return done(value);
}

/** Ways of writing a measure that belong to one character: specific gravity, half zones. */
function asMeasured(typed: string, { unit, id }: Character): string {
  const gravity = /\b(?:specific gravity|sp\.? ?gr\.?|s\.?g\.?)(?:\s+of)?\b\.?/i;
  if (unit === 'kg/m³' && gravity.test(typed)) return `${typed.replace(gravity, ' ')} g/cm³`;
  return id === 'site.hardinessZone' ? typed.replace(/(\d)\s*[ab]\b/gi, '$1') : typed;
}

/** “1.200 m”: nobody measures a mountain to the millimetre, and some part thousands with a point. */
const isEitherThousand = (typed: string, { unit }: Character, { decimal }: MeasureSettings): boolean =>
  decimal !== ',' &&
  (unit === 'm' || unit === 'years' || (unit === 'kg/m³' && !/g\s*\/\s*c/i.test(typed))) &&
  /(?<![\d.,])[1-9]\d{0,2}\.\d{3}(?![\d.])/.test(typed);

type Ends = Omit<RangeValue, 'kind'>;

const quantitiesOf = ({ from, to }: Figure): Quantity[] => [from, to].filter((each) => each !== undefined);

/** Why a unit does not fit the character, or nothing. */
function misfitOf(unit: WrittenUnit, character: Character): string | undefined {
  const own = dimensionOf(character.unit);
  const term = capital(character.term);
  if (unit.of === own) return undefined;
  if (own === 'per length' && unit.of === 'length') return undefined;
  if (own === 'density' && unit.of === 'weight on an area')
    return 'lb/ft² is a weight on an area. Did you mean lb/ft³?';
  if (own === 'length')
    return `“${unit.name}” is no length. ${term} is given in ${character.unit}, mm, cm, m, in or ft.`;
  if (own === 'density') return `“${unit.name}” is no density. Use kg/m³, g/cm³ or lb/ft³.`;
  if (own === undefined) return `${term} are counted and have no unit; “${unit.name}” does not belong here.`;
  return `“${unit.name}” does not fit: ${character.term} is given in ${character.unit}.`;
}

/** How a quantity becomes a stored number: by its own unit, by that of the next to its right, else of the last to its left, else by default. */
function scaleFor(
  typed: string,
  figures: readonly Figure[],
  character: Character,
  settings: MeasureSettings,
): (quantity: Quantity) => number {
  const all = figures.flatMap(quantitiesOf);
  const isFraction = character.unit === '%' && all.every(({ unit, value }) => !unit && value <= 1);
  const bare =
    isFraction && /\d\s*[/⁄]|[½¼¾⅓⅔⅛⅜⅝⅞]|third|half|quarter/.test(typed)
      ? 100
      : bareFactor(character, settings);
  // Six per cm are six, whether “per” is written or not.
  const factorOf = (unit: WrittenUnit) =>
    dimensionOf(character.unit) === 'per length' && unit.of === 'length' ? 1 : unit.factor;
  return (quantity) => {
    const at = all.indexOf(quantity);
    const unit =
      quantity.unit ??
      all.slice(at).find((each) => each.unit)?.unit ??
      all
        .slice(0, Math.max(0, at))
        .reverse()
        .find((each) => each.unit)?.unit;
    return round(quantity.value * (unit ? factorOf(unit) : bare));
  };
}

function bareFactor(character: Character, { units }: MeasureSettings): number {
  if (units !== 'imperial') return unitFactor(character);
  if (character.unit === 'm') return 0.3048;
  if (character.unit === 'cm' || character.unit === 'mm') return 0.0254;
  return character.unit === 'kg/m³' ? 16.0185 : unitFactor(character);
}

/** Is this figure the main one again, in another unit? */
function isRepeat(figure: Figure, all: readonly Figure[]): boolean {
  if (figure.again) return true;
  const main = all.find((each) => !each.bracketed);
  const [own, first] = [figure, main].map((each) => each && (each.to ?? each.from)?.unit);
  return Boolean(
    figure.bracketed && main && own && first && own.name !== first.name && figure.roles.length === 0,
  );
}

/** Puts figures together: the main one, extremes before and behind it, the usual one within. */
function rangeOf(figures: readonly Figure[], scale: (quantity: Quantity) => number): Ends | undefined {
  const plain = figures.filter(({ bracketed, roles }) => !bracketed && !roles.includes('rarely'));
  const usual = figures.find(({ roles, to, from }) => roles.includes('usually') && from && !to);
  const main =
    plain.find((figure) => figure !== usual) ??
    figures.find((figure) => figure !== usual && figure.bracketed && figure.to && usual) ??
    plain[0];
  if (!main) return undefined;
  // “many (20 or more)” says how many that is.
  const counted = main.many && !main.from ? figures.find((each) => each !== main && each.from) : undefined;
  const range = mainRange(counted ?? main, scale);
  // “3 mm min., 8 mm max.”: both ends, each by itself.
  const end = range.open && !main.many ? plain.find((each) => each !== main && isUpTo(each)) : undefined;
  if (end) {
    delete range.open;
    range.high = mainRange(end, scale).high;
  }
  if (usual && usual !== main) range.typical = scale(usual.from!);
  for (const [i, figure] of figures.entries()) {
    if (figure === main || figure === usual || figure === counted || figure === end) continue;
    if (!addExtreme(range, figure, i < figures.indexOf(main), scale)) return undefined;
  }
  // “mostly 3, rarely 2 or 4”: three, with extremes.
  if (range.low === undefined && range.typical !== undefined && (range.min ?? range.max) !== undefined) {
    range.low = range.high = range.typical;
    delete range.typical;
  }
  return range;
}

const isUpTo = ({ roles }: Figure): boolean => roles.includes('up to') || roles.includes('or less');

function mainRange(figure: Figure, scale: (quantity: Quantity) => number): Ends {
  const { from, to, roles, many } = figure;
  const says = (...any: Figure['roles']) => any.some((role) => roles.includes(role));
  if (!from) return { low: MANY, open: true };
  const low = scale(from);
  if (many || says('over', 'or more')) return to ? { low, high: scale(to), open: true } : { low, open: true };
  if (isUpTo(figure)) return { high: to ? scale(to) : low };
  if (to) return { low, high: scale(to) };
  if (says('about', 'or so', 'usually')) return { typical: low };
  return { low, high: low };
}

/** Takes in what stands in brackets, or is said to be rare. False where it fits at neither end. */
function addExtreme(
  range: Ends,
  { from, to }: Figure,
  isBefore: boolean,
  scale: (quantity: Quantity) => number,
): boolean {
  if (!from) return false;
  const value = scale(from);
  if (to) {
    if (range.min !== undefined || range.max !== undefined) return false;
    range.min = value;
    range.max = scale(to);
    return true;
  }
  const [low, high] = [range.low ?? range.typical, range.high ?? range.typical ?? range.low];
  // In front stands the least, behind the most; “rarely 4” behind five is the least all the same.
  const isLeast = isBefore || (low !== undefined && value < low && (high === undefined || value < high));
  if (isLeast ? range.min !== undefined : range.max !== undefined) return false;
  if (isLeast) range.min = value;
  else range.max = value;
  return true;
}

/** Rounded figures of one length in two units lie within an eighth of each other. */
function agree(a: Ends, b: Ends): boolean {
  return (['low', 'high', 'typical'] as const).every((end) => {
    const [x, y] = [a[end], b[end]];
    return x === undefined || y === undefined || Math.abs(x - y) <= 0.125 * Math.max(x, y);
  });
}

const isWhole = (value: RangeValue): boolean =>
  [value.min, value.low, value.high, value.max, value.typical].every(
    (n) => n === undefined || Math.abs(n - Math.round(n)) < 1e-9,
  );

/** The words that a character is called by, which say nothing more beside its figure. */
const wordsOf = ({ term, plain, organ }: Character): string[] =>
  `${term} ${plain} ${organ}`.toLowerCase().match(/[a-z]{3,}/g) ?? [];

const round = (value: number) => Number(value.toPrecision(10));
const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

function example(character: Character): string {
  if (character.kind === 'count') return '5–9, or (4)5–9(10)';
  return `4–7 ${character.unit === '1' ? '' : (character.unit ?? '')}`.trim();
}
