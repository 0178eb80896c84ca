import type { Character } from '../vocabulary/index.ts';
import { editDistance } from '../names/fold.ts';
import { parseScore } from './parseScore.ts';

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
  // A decimal comma.
  (text) => text.replace(/(\d),(\d)/g, '$1.$2'),
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
 * The likely repair of a score that could not be read: `30 lb/ft2` → `30 lb/ft³`, `5-9-10` → `5–9(10)`, `eliptic` →
 * `elliptic`. Undefined where the text can be read, or nothing likely was found.
 */
export function slipOf(text: string, character: Character): Slip | undefined {
  const typed = text.trim();
  if (!typed || parseScore(typed, character).ok) return undefined;
  for (const mend of MENDS) {
    const mended = mend(typed, character)?.trim();
    if (mended && mended !== typed && parseScore(mended, character).ok) return { text: mended };
  }
  return undefined;
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
