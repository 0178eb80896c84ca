import { scoresInView, type ProfiledTaxon } from '../evidence/index.ts';
import {
  valueInWords,
  type Audience,
  type Frequency,
  type RangeValue,
  type ScoreValue,
  type UnitSystem,
} from '../score/index.ts';
import type { Qualifiers } from '../score/index.ts';
import { putIn, sayingOf, stateOf, type Character, type Telling } from '../vocabulary/index.ts';
import { phraseOf } from './phrases.ts';
import { exchanged, goingOn, tellsOf } from './tells.ts';
import { listedBy } from '../words/index.ts';

export interface Voice {
  audience: Audience;
  units: UnitSystem;
  /** Beside a tree that it is told from, also what would be no news of it alone is said. */
  beside?: boolean;
}

const USUAL: readonly Frequency[] = ['always', 'usually'];

/**
 * What is scored of one character of a tree, as it is said to a class: in terms a piece of a line, in plain words a sentence without its
 * full stop. Undefined where nothing is scored or it is no news. What is rare is left out.
 *
 * @example
 * saidOfCharacter(larch, BUILT_IN.get('needle.perSpur')!, { audience: 'plain', units: 'metric' }); // 'Each brush has 15–40 needles'
 */
export function saidOfCharacter(
  { scores }: ProfiledTaxon,
  character: Character,
  voice: Voice,
  qualifiers: Qualifiers = { plantAge: 'mature' },
): string | undefined {
  const held = scoresInView(
    scores.filter(({ characterId }) => characterId === character.id),
    { qualifiers },
  )[0];
  const said = held && saidOfValue(held.value, character, voice)?.replaceAll(STAR, '');
  return said && OF_BLADE.includes(character.id) && isCompound(scores)
    ? exchanged(said, tellsOf(character).leaflet)
    : said;
}

/** In a phrase, where “usually” is put in. */
const STAR = '*';

/** Of a compound leaf these are said of a leaflet. */
const OF_BLADE = ['leaf.shape', 'leaf.lobing', 'leaf.apex', 'leaf.base', 'leaf.texture', 'leaf.upperFace'];

const isCompound = (scores: ProfiledTaxon['scores']): boolean => {
  const value = scores.find(({ characterId }) => characterId === 'leaf.composition')?.value;
  return (
    value?.kind === 'states' &&
    value.states.find(({ frequency }) => USUAL.includes(frequency))?.state !== 'simple'
  );
};

function saidOfValue(value: ScoreValue, character: Character, voice: Voice): string | undefined {
  switch (value.kind) {
    case 'months':
      return undefined;
    case 'flag': {
      const state = USUAL.includes(value.frequency) ? 'yes' : value.frequency === 'never' ? 'no' : undefined;
      return state && filled(character, state, undefined, voice);
    }
    case 'range': {
      const shown = voice.audience === 'plain' ? roundly(value, character, voice.units) : value;
      const words = valueInWords(shown, character, voice.audience, voice.units);
      return filled(
        character,
        undefined,
        voice.audience === 'plain' ? oddly(words, character) : words,
        voice,
      );
    }
    case 'states':
      return saidOfStates(value.states, character, voice);
  }
}

/** A count of which one says to a class that it is odd. */
function oddly(words: string, character: Character): string {
  const { odd } = sayingOf(character);
  return words.endsWith(odd) ? words.slice(0, -odd.length) + tellsOf(character).oddNumber : words;
}

/** In plain words the extremes are left out, and feet are whole: two figures are enough. */
function roundly(
  { min: _min, max: _max, ...range }: RangeValue,
  { unit }: Character,
  units: UnitSystem,
): RangeValue {
  if (range.low === undefined) return { ...range, ...(_max === undefined ? {} : { max: _max }) };
  if (unit !== 'm' || units === 'metric') return range;
  const whole = (metres: number) => {
    const feet = metres / FOOT;
    return (feet < 10 ? Math.round(feet) : Number(feet.toPrecision(2))) * FOOT;
  };
  return {
    ...range,
    low: whole(range.low),
    ...(range.high === undefined ? {} : { high: whole(range.high) }),
  };
}

const FOOT = 0.3048;

function saidOfStates(
  states: readonly { state: string; frequency: Frequency }[],
  character: Character,
  voice: Voice,
): string | undefined {
  const leading = leadingStates(states, character);
  const others = states
    .filter(({ state, frequency }) => frequency === 'sometimes' && !leading.includes(state))
    .map(({ state }) => state);
  const joined = leading.length > 0 ? joinedStates(leading, character, voice) : undefined;
  if (joined === undefined || others.length === 0) return joined;
  const tells = tellsOf(character);
  if (voice.audience === 'plain') return usually(joined, character);
  const sometimes = others.map(
    (state) => ownPhrase(character, state, voice) ?? wordOf(state, character, voice),
  );
  return putIn(tells.sometimes, { said: joined, others: listedBy(sometimes, sayingOf(character).or) });
}

/** “Usually the needles are sharp”, “Crush a leaf: usually it smells spicy”. */
function usually(sentence: string, character: Character): string {
  const tells = tellsOf(character);
  if (sentence.startsWith(tells.asItIs)) return sentence;
  if (sentence.includes(STAR)) return sentence.replace(STAR, ` ${tells.usually}`);
  const [told, found] = sentence.split(': ');
  return found === undefined
    ? putIn(tells.usuallyBefore, goingOn(sentence, sayingOf(character)))
    : putIn(tells.usuallyFound, { told: told!, found });
}

/** The states that a tree usually shows, or where it has no usual one those that it shows sometimes; what may occur together in a book's order. */
export function leadingStates(
  states: readonly { state: string; frequency: Frequency }[],
  character: Character,
): string[] {
  const of = (wanted: readonly Frequency[]) =>
    states.filter(({ frequency }) => wanted.includes(frequency)).map(({ state }) => state);
  const usual = of(USUAL);
  const leading = usual.length > 0 ? usual : of(['sometimes']);
  if (!character.anyOf) return leading;
  return character.states.flatMap(({ id }) => (leading.includes(id) ? [id] : []));
}

/** What is said of a state alone, where it has a phrase of its own. */
function ownPhrase(character: Character, state: string, voice: Voice): string | undefined {
  const tells = tellsOf(character);
  if (phraseOf(tells, character.id, state) === phraseOf(tells, character.id)) return undefined;
  // Also what would be no news of a tree alone: “(sometimes no odor when scratched)”.
  return filled(character, state, wordOf(state, character, voice), { ...voice, beside: true });
}

function joinedStates(states: readonly string[], character: Character, voice: Voice): string | undefined {
  const tells = tellsOf(character);
  const { and, or } = sayingOf(character);
  const own = states.map((state) => phraseOf(tells, character.id, state));
  const general = phraseOf(tells, character.id);
  const by = character.anyOf ? and : or;
  // Several values of one phrase are listed in it: “twigs red or red-brown”.
  if (general && own.every((phrase) => phrase === general)) {
    const words = states.map((state) => wordOf(state, character, voice));
    return filled(character, undefined, listedBy(words, by), voice);
  }
  const each = states.flatMap(
    (state) => filled(character, state, wordOf(state, character, voice), voice) ?? [],
  );
  if (each.length < states.length) return undefined;
  if (voice.audience === 'technical') return listedBy(each, by);
  const [first, ...others] = each;
  const instead = !character.anyOf;
  return others.reduce((held, sentence) => withSentence(held, sentence, { by, instead, character }), first!);
}

/** Two sentences about the same thing in one: “The bark is smooth and has blisters of pitch”; else one after the other. */
function withSentence(
  first: string,
  second: string,
  { by, instead, character }: { by: string; instead: boolean; character: Character },
): string {
  const [of, next] = [first.split(' '), second.split(' ')];
  const same = of.findIndex((word, i) => word !== next[i]);
  if (same >= 2) return `${first} ${by} ${next.slice(same).join(' ')}`;
  return instead
    ? putIn(tellsOf(character).orElse, { first, second: goingOn(second, sayingOf(character)) })
    : `${first}. ${second}`;
}

const wordOf = (state: string, character: Character, { audience }: Voice): string => {
  const found = stateOf(character, state);
  return found ? (audience === 'plain' ? found.plain : found.term) : state;
};

/** The phrase of a character or state with its value put in; undefined where it is not said. */
function filled(
  character: Character,
  state: string | undefined,
  value: string | undefined,
  { audience, beside = false }: Voice,
): string | undefined {
  const phrase = phraseOf(tellsOf(character), character.id, state);
  const text = audience === 'plain' ? phrase?.plain : phrase?.technical;
  if (!text || text === '-' || (text.startsWith('~') && !beside)) return undefined;
  const said = text.replace(/^~/, '');
  if (!said.includes('{}')) return said;
  return value === undefined ? undefined : said.replace('{}', value);
}

/** Whether a piece of a line names its own part: “needles 2 to a bundle”, “twigs glabrous”. */
export const namesItsPart = (words: string, { namesPart }: Telling): boolean =>
  new RegExp(namesPart).test(words);
