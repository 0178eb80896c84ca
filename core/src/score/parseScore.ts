import { done, refused, type Outcome } from '../outcome/index.ts';
import { parseArcs, type ArcSettings } from '../season/index.ts';
import type { Character, State } from '../vocabulary/index.ts';
import { parseRange, type MeasureSettings } from './parse.ts';
import type { Frequency, ScoreValue, StateFrequency } from './score.ts';

const ADVERBS: Record<string, Frequency> = {
  always: 'always',
  usually: 'usually',
  mostly: 'usually',
  sometimes: 'sometimes',
  occasionally: 'sometimes',
  rarely: 'rarely',
  seldom: 'rarely',
  never: 'never',
  not: 'never',
};
const FLAG_WORDS: Record<string, Frequency> = {
  ...ADVERBS,
  yes: 'always',
  no: 'never',
  true: 'always',
  false: 'never',
  y: 'always',
  n: 'never',
};

/**
 * Reads a score as it is typed in a table or a form: `ovate; sometimes elliptic`, `only smooth, banded`, `yes`, `seldom`,
 * `(4)5–9(10)`, `4–7 in`. States go by their id, their term or their plain words, in the language of the character.
 */
export function parseScore(
  text: string,
  character: Character,
  settings: MeasureSettings & ArcSettings = {},
): Outcome<ScoreValue> {
  const typed = inEnglish(text.trim(), character);
  if (!typed) return refused(`Nothing is written for ${character.term}.`);
  switch (character.kind) {
    case 'measure':
    case 'count':
      return parseRange(typed, character, settings);
    case 'flag': {
      const frequency = FLAG_WORDS[typed.toLowerCase()];
      if (frequency) return done({ kind: 'flag', frequency });
      return refused(
        `“${typed}” is no answer for ${character.term}. Write yes, usually, sometimes, rarely or no.`,
      );
    }
    case 'months':
      return parseMonths(typed, settings);
    case 'categorical':
    case 'ordinal':
      return parseStates(typed, character);
  }
}

/** What stands between the words of a character in its language, in the English that is read: “manchmal eiförmig” as “sometimes eiförmig”. */
function inEnglish(typed: string, { kind, saying }: Pick<Character, 'kind' | 'saying'>): string {
  if (!saying || kind === 'measure' || kind === 'count') return typed;
  const often = Object.entries(kind === 'flag' ? saying.flag : saying.adverbs);
  const between: [english: string, word: string][] = [...often, ['or', saying.or]];
  return between.reduce((read, [english, word]) => {
    const own = word.trim();
    return own ? read.replace(new RegExp(`(?<![\\p{L}])${own}(?![\\p{L}])`, 'giu'), english) : read;
  }, typed);
}

function parseMonths(typed: string, settings: ArcSettings): Outcome<ScoreValue> {
  const arcs = parseArcs(typed, settings);
  return arcs.ok ? done({ kind: 'months', arcs: arcs.value }) : arcs;
}

function parseStates(typed: string, character: Character): Outcome<ScoreValue> {
  const exhaustive = /^only\s+/i.test(typed);
  const pieces = typed
    .replace(/^only\s+/i, '')
    // A cell of several lines has a state on each.
    .split(/;|\||[\n\r\u0085\u2028\u2029]|\bor\b/i)
    .map((piece) => piece.trim())
    .filter(Boolean);
  const states: StateFrequency[] = [];
  for (const piece of pieces) {
    const [, adverb, name] =
      /^(?:(always|usually|mostly|sometimes|occasionally|rarely|seldom|never|not)\s+)?(.+)$/is.exec(piece)!;
    const state = findState(name!, character);
    if (!state) {
      const split = name!.includes(',') ? splitByComma(name!, adverb, character) : undefined;
      if (split) {
        states.push(...split);
        continue;
      }
      const known = character.states.map((s) => s.term).join('; ');
      return refused(`“${name}” is no state of ${character.term}. Choose from: ${known}.`);
    }
    states.push({ state: state.id, frequency: frequencyOf(adverb, character, pieces.length) });
  }
  if (
    states.length === 1 &&
    pieces.length === 1 &&
    !character.anyOf &&
    states[0]!.frequency === 'usually' &&
    !/^(usually|mostly)/i.test(pieces[0]!)
  )
    states[0]!.frequency = 'always';
  return done({ kind: 'states', states, ...(exhaustive ? { exhaustive: true } : {}) });
}

/** "smooth, banded": commas part states only where the whole is not itself the name of a state. */
function splitByComma(
  name: string,
  adverb: string | undefined,
  character: Character,
): StateFrequency[] | undefined {
  const found = name.split(',').map((piece) => {
    const [, own, word] =
      /^\s*(?:(always|usually|mostly|sometimes|occasionally|rarely|seldom|never|not)\s+)?(.+?)\s*$/i.exec(
        piece,
      ) ?? [];
    const state = word && findState(word, character);
    return state ? { state: state.id, frequency: frequencyOf(own ?? adverb, character, 2) } : undefined;
  });
  return found.every((entry) => entry !== undefined) ? found : undefined;
}

const frequencyOf = (adverb: string | undefined, character: Character, among: number): Frequency => {
  if (adverb) return ADVERBS[adverb.toLowerCase()]!;
  return !character.anyOf && among === 1 ? 'always' : 'usually';
};

function findState(name: string, character: Character): State | undefined {
  const plain = (text: string) => text.toLowerCase().replace(/[^a-z0-9]+/g, '');
  const wanted = plain(name);
  return character.states.find((state) =>
    [state.id, state.term, state.plain].some((word) => plain(word) === wanted),
  );
}
