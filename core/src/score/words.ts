import { arcLabel } from '../season/index.ts';
import { ENGLISH, putIn, sayingOf, stateOf, type Character, type Saying } from '../vocabulary/index.ts';
import { listedBy } from '../words/index.ts';
import {
  FREQUENCIES,
  unitFactor,
  type Qualifiers,
  type RangeValue,
  type ScoreValue,
  type StatesValue,
} from './score.ts';

export type Audience = 'technical' | 'plain';
export type UnitSystem = 'metric' | 'imperial';

/** A score in the words an instructor would say, in the language of its character: "ovate, sometimes elliptic", "(4) 5–9 (10)", "2–4 cm". */
export function valueInWords(
  value: ScoreValue,
  character: Character,
  audience: Audience = 'technical',
  units: UnitSystem = 'metric',
): string {
  switch (value.kind) {
    case 'flag':
      return sayingOf(character).flag[value.frequency];
    case 'months':
      return value.arcs.map((arc) => arcLabel(arc)).join(', ');
    case 'range':
      return rangeInWords(value, character, units);
    case 'states':
      return statesInWords(value, character, audience);
  }
}

/** The states with those of one frequency together, the most frequent first: "dry and moist forest, sometimes streamside or coast". */
function statesInWords(value: StatesValue, character: Character, audience: Audience): string {
  const { adverbs, and, or } = sayingOf(character);
  const word = (id: string) => {
    const state = stateOf(character, id);
    return state ? (audience === 'plain' ? state.plain : state.term) : id;
  };
  const groups = FREQUENCIES.map((frequency) => ({
    frequency,
    words: value.states.filter((entry) => entry.frequency === frequency).map(({ state }) => word(state)),
  })).filter(({ words }) => words.length > 0);
  return groups
    .map(({ frequency, words }, i) => {
      // What is usual stands first and needs no adverb, unless something is so always.
      const first = i === 0 && (frequency === 'always' || frequency === 'usually');
      const joined = listedBy(words, character.anyOf && first ? and : or);
      return first ? joined : `${adverbs[frequency]}${joined}`;
    })
    .join(', ');
}

function rangeInWords(range: RangeValue, character: Character, units: UnitSystem): string {
  const { show, unit } = scaleFor(range, character, units);
  // A degree sign stands close: “30–80°”.
  const tail = unit === '°' ? unit : unit ? ` ${unit}` : '';
  const saying = sayingOf(character);
  const step = range.step === 2 ? ((range.low ?? 1) % 2 ? saying.odd : saying.even) : '';
  if (range.typical !== undefined && range.low === undefined)
    return putIn(saying.about, `${show(range.typical)}${tail}`);
  if (range.low === undefined && range.high !== undefined)
    return putIn(saying.to, `${show(range.high)}${tail}`);
  // What is measured has no “many”.
  if (range.open && range.high === undefined && range.low !== undefined && character.kind === 'measure')
    return putIn(saying.over, `${show(range.low)}${tail}`);
  if (range.low === undefined)
    return range.max === undefined ? saying.notGiven : putIn(saying.to, `${show(range.max)}${tail}`);
  const low = show(range.low);
  const high = range.high === undefined ? (range.open ? saying.many : undefined) : show(range.high);
  const core = high === undefined || high === low ? low : `${low}–${high}`;
  const min = range.min === undefined ? '' : `(${show(range.min)}) `;
  const max = range.max === undefined ? '' : ` (${show(range.max)})`;
  const usual = range.typical === undefined ? '' : putIn(saying.usual, show(range.typical));
  return `${min}${core}${max}${tail}${step}${usual}`;
}

/** The unit to show and a formatter, which writes the decimals as the character's language does; imperial shows feet from 1 ft up and inches below. */
function scaleFor(range: RangeValue, character: Character, units: UnitSystem) {
  const { point, units: unitWords } = sayingOf(character);
  const { show, unit } = englishScale(range, character, units);
  return { show: (n: number) => show(n).replace('.', point), unit: unitWords[unit] ?? unit };
}

function englishScale(range: RangeValue, character: Character, units: UnitSystem) {
  const length = character.unit === 'm' || character.unit === 'cm' || character.unit === 'mm';
  const size = range.high ?? range.low ?? range.typical ?? range.max ?? 0;
  if (length && units === 'imperial') {
    const inFeet = character.unit === 'm' || size >= 0.9144;
    const factor = inFeet ? 0.3048 : 0.0254;
    return {
      show: (n: number) => (inFeet ? neat(n / factor) : eighths(n / factor)),
      unit: inFeet ? 'ft' : 'in',
    };
  }
  if (character.unit === 'kg/m³' && units === 'imperial')
    return { show: (n: number) => neat(n / 16.0185), unit: 'lb/ft³' };
  const factor = unitFactor(character);
  const unit = character.unit === '1' || character.unit === 'pH' ? '' : (character.unit ?? '');
  // As it was entered: 12.5 cm are not 13.
  return { show: (n: number) => String(Number((n / factor).toPrecision(3))), unit };
}

const neat = (n: number) => String(Number(n.toPrecision(n >= 100 ? 3 : 2)));

/** Inches to the nearest eighth: 2.75 → "2¾". */
function eighths(inches: number): string {
  const whole = Math.floor(inches + 1 / 16);
  const part = Math.round((inches - whole) * 8);
  const glyph = ['', '⅛', '¼', '⅜', '½', '⅝', '¾', '⅞'][Math.max(0, part)] ?? '';
  return whole === 0 && glyph ? glyph : `${whole}${glyph}`;
}

/** "young", "sun, male", in the language of the character that they are said of. */
export const qualifiersInWords = (
  qualifiers: Qualifiers,
  { saying = ENGLISH }: { saying?: Saying } = {},
): string =>
  Object.values(qualifiers)
    .map((value) => saying.qualifiers[value] ?? value)
    .join(', ');

/** The term or the plain words of a character, by audience. */
export const characterName = (character: Character, audience: Audience): string =>
  audience === 'plain' ? character.plain : character.term;
