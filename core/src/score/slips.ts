import { editDistance } from '../names/fold.ts';
import type { Character, CharacterId } from '../vocabulary/index.ts';
import { parseScore } from './parseScore.ts';
import { doubtOf } from './plausible.ts';

/** What was probably meant by a text that cannot be read, and can be. */
export interface Slip {
  /** The text with the slip mended. */
  text: string;
}

type Mend = (text: string, character: Character) => string | undefined;

/** Each tries one kind of slip; the first whose result can be read wins. */
const MENDS: Mend[] = [
  // A weight on an area for a density.
  (text) => text.replace(/lb\s*\/\s*ft\s*(?:2|²)|lbs?\s+per\s+(?:square\s+foot|sq\.?\s*ft)/i, 'lb/ft³'),
  // The letters O, l and I for the digits 0 and 1.
  (text) =>
    text
      .replace(/(?<=[\d.,–-])[oO]|[oO](?=[.,\d])/g, '0')
      .replace(/(?<=[\d.,–-])[lI]|\b[lI](?=[\d.,])/g, '1'),
  // Three numbers in a row: low, high and extreme.
  (text) => text.replace(/^(\d[\d./]*)\s*[-–]\s*(\d[\d./]*)\s*[-–]\s*(\d[\d./]*)/, '$1–$2($3)'),
  // A parenthesis that was not closed or not opened.
  (text) => text.replace(/^\((\d[\d./]*)\s*[-–]?\s*(\d.*)$/, '($1)$2'),
  (text) => (/\(/.test(text) && !/\)/.test(text) ? text.replace(/(\([\d./]+)/, '$1)') : undefined),
  // A unit that is nearly one.
  (text) =>
    text
      .replace(/\b(?:inchs|inces|inchess|ins)\b\.?/i, 'in')
      .replace(/\b(?:feets|foots|fts)\b\.?/i, 'ft')
      .replace(/\b(?:cms|centimetre|centimeter|c\.m\.)(?=\s|$)/i, 'cm')
      .replace(/\b(?:mms|millimetre|millimeter|m\.m\.)(?=\s|$)/i, 'mm')
      .replace(/\b(?:mtrs?|ms)\b\.?/i, 'm'),
  // A fraction of what is counted: one or the other.
  (text, character) =>
    character.kind === 'count' ? text.replace(/^\s*(\d+)\s*\/\s*(\d+)/, '$1–$2') : undefined,
  // Length by width: the one that is asked for here.
  (text, character) => sizesOf(text, character).find(({ characterId }) => characterId === character.id)?.text,
  // A unit on what is counted.
  (text, character) => (character.kind === 'count' ? text.replace(/[a-z"'°%]+\.?$/i, '') : undefined),
  // A half number on what is counted.
  (text, character) =>
    character.kind === 'count'
      ? text.replace(/^\s*(\d+)\.\d+\s*$/, (_, whole: string) => `${whole}–${Number(whole) + 1}`)
      : undefined,
  // A unit of another kind: read the number in the character's own.
  (text, character) =>
    character.kind === 'measure' && character.unit
      ? text.replace(/(?<=\d)\s*(?:[a-zµ°%"']+(?:\/[a-z³²0-9]+)?)\s*$/i, ` ${character.unit}`)
      : undefined,
  // A state misspelled by a letter or two.
  nearestStates,
];

/**
 * The likely repairs of a score that could not be read: `30 lb/ft2` → `30 lb/ft³`, `5-9-10` → `5–9(10)`, `eliptic` → `elliptic`. None where
 * the text can be read, or where nothing plausible would come of it; two where two would.
 *
 * @example
 * slipsOf('oposite', arrangement); // [{ text: 'opposite' }]
 */
export function slipsOf(text: string, character: Character): Slip[] {
  const typed = text.trim();
  if (!typed || parseScore(typed, character).ok) return [];
  const found: string[] = [];
  for (const mend of MENDS) {
    const mended = mend(typed, character)?.trim();
    if (mended && mended !== typed && !found.includes(mended) && isPlausible(mended, character))
      found.push(mended);
  }
  return found.slice(0, 2).map((mended) => ({ text: mended }));
}

/** The likeliest of them. */
export const slipOf = (text: string, character: Character): Slip | undefined => slipsOf(text, character)[0];

function isPlausible(text: string, character: Character): boolean {
  const read = parseScore(text, character);
  if (!read.ok) return false;
  const { value } = read;
  if (value.kind !== 'range') return true;
  const ends = [value.min, value.low, value.high, value.max, value.typical].filter((n) => n !== undefined);
  const inOrder = value.low === undefined || value.high === undefined || value.low <= value.high;
  return inOrder && doubtOf(character.id, ends) !== 'impossible';
}

/** Characters that are written together as length × width: the second of each. */
const BY: Readonly<Partial<Record<CharacterId, CharacterId>>> = {
  'leaf.length': 'leaf.width',
  'needle.length': 'needle.width',
  'habit.height': 'habit.crownSpread',
};

/**
 * Length by width taken apart, each for its own character: what is written for either of the two.
 *
 * @example
 * sizesOf('4–7 × 2–3 cm', leafLength);
 * // [{ characterId: 'leaf.length', text: '4–7 cm' }, { characterId: 'leaf.width', text: '2–3 cm' }]
 */
export function sizesOf(text: string, character: Character): { characterId: string; text: string }[] {
  const pair = (Object.entries(BY) as [CharacterId, CharacterId][]).find((each) =>
    each.includes(character.id as CharacterId),
  );
  const parts = text.split(/\s*(?:×|\*|(?<=[\d)\s])x(?=[\d(\s])|\bby\b)\s*/i).map((part) => part.trim());
  if (!pair || parts.length !== 2 || parts.some((part) => !/\d/.test(part))) return [];
  const [first, second] = parts as [string, string];
  const unit = /[a-z"'″′]+\.?$/i.exec(second)?.[0];
  const whole = /[a-z"'″′]\.?$/i.test(first) || !unit ? first : `${first} ${unit}`;
  return [
    { characterId: pair[0], text: whole },
    { characterId: pair[1], text: second },
  ];
}

/** Every state replaced by the nearest known word, when each lies within a third of its letters and no other is as near. */
function nearestStates(text: string, character: Character): string | undefined {
  if (character.states.length === 0) return undefined;
  const mended = text.split(';').map((piece) => {
    const [, adverb = '', word = ''] =
      /^\s*((?:always|usually|mostly|sometimes|occasionally|rarely|seldom|never|not)\s+)?(.+?)\s*$/i.exec(
        piece,
      ) ?? [];
    const wanted = word.toLowerCase();
    const ranked = character.states
      .map((state) => ({
        state,
        off: Math.min(
          ...[state.id, state.term, state.plain].map((name) => editDistance(wanted, name.toLowerCase())),
        ),
      }))
      .sort((a, b) => a.off - b.off);
    const [first, second] = ranked;
    if (!first || first.off > Math.max(1, wanted.length / 3)) return undefined;
    return second && second.off === first.off ? undefined : adverb + first.state.term;
  });
  return mended.every((piece) => piece !== undefined) ? mended.join('; ') : undefined;
}
