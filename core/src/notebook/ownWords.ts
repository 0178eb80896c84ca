import {
  BUILT_IN,
  SHOWN_BY,
  standingOf,
  type Character,
  type ShownOrgan,
  type Vocabulary,
} from '../vocabulary/index.ts';
import { cuesOf, EVERYDAY_LINES } from './everyday.ts';
import { numbersSaid } from './numbersSaid.ts';
import { stemsOf, wordsOf, type Word } from './stems.ts';

/** What somebody's words of their own mean, as a course has learnt it. */
export interface OwnPhrase {
  phrase: string;
  characterId: string;
  state: string;
}

export interface Meaning {
  characterId: string;
  state: string;
}

/** A stretch of a text that was read as a state of a character. */
export interface Understood extends Meaning {
  /** From this sign of the text to the one before `to`. */
  from: number;
  to: number;
  /** Of a count or a length, in metres, in place of a state. */
  value?: number;
  /** The text says that it is not so. */
  denied: boolean;
  /** By a word that the course has taught. */
  learnt: boolean;
  /** What it may mean as well, the likelier first. */
  or: Meaning[];
}

/** A stretch of a text that says something Hurrow does not know. */
export interface NotUnderstood {
  from: number;
  to: number;
  words: string;
}

export interface OwnWordsRead {
  understood: Understood[];
  notUnderstood: NotUnderstood[];
}

interface Phrase extends Meaning {
  stems: string[];
  organ: ShownOrgan;
  learnt: boolean;
  /** Said of one organ only, whatever the words are about. */
  distinct: boolean;
  /** Written down as what people say of this state, so that it needs no other word to be read. */
  everyday: boolean;
  /** Goes across a comma. */
  across: boolean;
}

/** Phrases by their first stem, the longer ones first. */
type Phrases = ReadonlyMap<string, Phrase[]>;

const ORGAN_WORDS: Readonly<Record<string, ShownOrgan>> = {
  leaf: 'leaf',
  leaflet: 'leaf',
  blad: 'leaf',
  needl: 'leaf',
  foliag: 'leaf',
  bark: 'bark',
  trunk: 'bark',
  twig: 'twig',
  shoot: 'twig',
  branchlet: 'twig',
  bud: 'bud',
  flower: 'flower',
  blossom: 'flower',
  catkin: 'flower',
  fruit: 'fruit',
  con: 'fruit',
  pinecon: 'fruit',
  acorn: 'fruit',
  nut: 'fruit',
  seed: 'fruit',
  berr: 'fruit',
  pod: 'fruit',
  tree: 'habit',
  crown: 'habit',
  wood: 'wood',
};

/** Words that say that nothing of a thing is there, and those that say that it is otherwise. */
const ABSENT = new Set(['no', 'without', 'lack', 'lacks', 'none', 'any', 'zero']);
const DENIED = new Set(['not', 'never', 'isnt', 'arent', 'doesnt', 'dont', 'wasnt', 'cant', 'wont', 'hardl']);
/** Neither the one nor the other stands further than this before what it denies, in words that carry meaning. */
const DENIES_ACROSS = 2;

/** A state of the organ that the words are about comes before one of another organ; then what was learnt, the longer phrase, and what is said first. */
const WORTH = { subject: 40, learnt: 25, word: 12, cue: 9, needle: 4, mark: 3, second: 1, beginner: 1 };
/** Meanings within this of the best are offered as well. */
const NEARLY = 2;

/** Words of describing that mean no state, and those that say what is described. */
const DESCRIBING =
  'think thought see saw seen can could would maybe probably tree one part big small large long short side top when where which color piece thing other another same different because mostly almost old young new find found touch much both you your if from up down out by for but not no than then too lot any get got into most only few little some grows growing grow pull pulls leave along between around across while very dark light bright pale remind reminds me hard tall wide come comes in he she there when while after before kinda sorta';
const SAYS_NOTHING = new Set(
  [DESCRIBING, ...[...BUILT_IN.keys()].map((id) => cuesOf(id).words)].flatMap((words) =>
    wordsOf(words).map(({ stem }) => stem),
  ),
);

const dictionaries = new WeakMap<Vocabulary, Phrase[]>();

/** Every phrase that a vocabulary's own words and the everyday ones give. */
function phrasesOf(vocabulary: Vocabulary): Phrase[] {
  const held = dictionaries.get(vocabulary);
  if (held) return held;
  const made = [...vocabulary.values()].flatMap(ownTerms);
  for (const { characterId, state, phrases } of EVERYDAY_LINES) {
    const character = vocabulary.get(characterId);
    if (character)
      made.push(
        ...phrases.map((phrase) => ({ ...phraseOf(phrase, character, state, false), everyday: true })),
      );
  }
  const organs = new Map<string, Set<ShownOrgan>>();
  for (const { stems, organ } of made) {
    const key = stems.join(' ');
    organs.set(key, (organs.get(key) ?? new Set()).add(organ));
  }
  const known = made.map((phrase) => ({
    ...phrase,
    distinct: phrase.stems.length > 1 || organs.get(phrase.stems.join(' '))!.size === 1,
  }));
  dictionaries.set(vocabulary, known);
  return known;
}

function ownTerms(character: Character): Phrase[] {
  if (character.derived) return [];
  if (character.kind === 'flag')
    return [character.term, character.plain].map((words) => phraseOf(words, character, 'yes', false));
  return character.states
    .filter(({ id }) => id !== 'none' && id !== 'plain')
    .flatMap(({ id, term, plain }) => [term, plain].map((words) => phraseOf(words, character, id, false)));
}

const phraseOf = (words: string, character: Character, state: string, learnt: boolean): Phrase => ({
  stems: stemsOf(words),
  characterId: character.id,
  state,
  organ: SHOWN_BY[character.organ],
  learnt,
  distinct: true,
  everyday: false,
  across: words.includes(','),
});

function byFirst(phrases: readonly Phrase[]): Phrases {
  const made = new Map<string, Phrase[]>();
  for (const phrase of phrases) {
    const first = phrase.stems[0];
    if (first !== undefined) made.set(first, [...(made.get(first) ?? []), phrase]);
  }
  return made;
}

/**
 * Reads what somebody wrote in words of their own as states of characters: the longest stretch that is known, of the organ that the words are about.
 *
 * @param organ what the text is about where it names no organ itself
 * @param learnt phrases that the course has taught; they come before Hurrow's own
 * @returns what was understood in the order of the text, and the stretches that were not
 * @example
 * readOwnWords('flaky bark, like burnt corn flakes', 'bark', BUILT_IN).understood.map(({ state }) => state); // ['thinScales', 'thinScales']
 */
export function readOwnWords(
  text: string,
  organ: ShownOrgan,
  vocabulary: Vocabulary = BUILT_IN,
  learnt: readonly OwnPhrase[] = [],
): OwnWordsRead {
  const words = wordsOf(text);
  const own = learnt.flatMap(({ phrase, characterId, state }) => {
    const character = vocabulary.get(characterId);
    return character ? [phraseOf(phrase, character, state, true)] : [];
  });
  const phrases = byFirst([...own, ...phrasesOf(vocabulary)]);
  const about = subjectsOf(words, organ);
  const understood: Understood[] = [];
  const taken = new Set<number>();
  for (const { characterId, value, first, last } of numbersSaid(words, about)) {
    const place = { from: words[first]!.from, to: words[last]!.to };
    understood.push({ characterId, state: '', value, ...place, denied: false, learnt: false, or: [] });
    for (let i = first; i <= last; i += 1) taken.add(i);
  }
  for (let at = 0; at < words.length;) {
    const found = taken.has(at) ? undefined : longestAt(at, words, phrases, about, vocabulary);
    if (!found) {
      at += 1;
      continue;
    }
    understood.push(said(found, at, words, vocabulary, taken));
    for (let i = at; i <= found.last; i += 1) taken.add(i);
    at = found.last + 1;
  }
  understood.sort((x, y) => x.from - y.from);
  return { understood, notUnderstood: notUnderstood(text, words, taken) };
}

/** The organ that each word is about: the last one named before it in its sentence, else the next in its clause, else that of the text. */
function subjectsOf(words: readonly Word[], organ: ShownOrgan): ShownOrgan[] {
  let sentence = -1;
  let subject: ShownOrgan | undefined;
  return words.map((word, i) => {
    if (word.sentence !== sentence) {
      sentence = word.sentence;
      subject = undefined;
    }
    if (namesOrgan(words, i)) subject = ORGAN_WORDS[word.stem]!;
    if (subject) return subject;
    const next = words.findIndex((other, j) => j > i && other.clause === word.clause && namesOrgan(words, j));
    return next < 0 ? organ : ORGAN_WORDS[words[next]!.stem]!;
  });
}

/** Does a word name the organ that is spoken of? In “leaf scar” and “at the end of the twig” it names a part, or a place. */
function namesOrgan(words: readonly Word[], i: number): boolean {
  if (!ORGAN_WORDS[words[i]!.stem] || ['scar', 'stalk', 'stem'].includes(words[i + 1]?.stem ?? ''))
    return false;
  const before = words[i - 1]?.stem === 'th' ? words[i - 2] : words[i - 1];
  return !PLACES.has(before?.stem ?? '');
}

const PLACES = new Set([
  'of',
  'from',
  'on',
  'at',
  'to',
  'along',
  'around',
  'near',
  'agains',
  'over',
  'under',
]);

interface Match {
  last: number;
  meanings: (Phrase & { worth: number })[];
}

function longestAt(
  at: number,
  words: readonly Word[],
  phrases: Phrases,
  about: readonly ShownOrgan[],
  vocabulary: Vocabulary,
): Match | undefined {
  const here = words[at]!;
  const meanings = (phrases.get(here.stem) ?? []).flatMap((phrase) => {
    const last = lastOf(phrase, at, words);
    if (last === undefined) return [];
    const character = vocabulary.get(phrase.characterId)!;
    const worth = worthOf(phrase, character, about[at]!, at, last, words);
    return worth === undefined ? [] : [{ ...phrase, worth, last }];
  });
  if (meanings.length === 0) return undefined;
  meanings.sort((x, y) => y.worth - x.worth);
  const best = meanings[0]!;
  return { last: best.last, meanings: meanings.filter(({ last }) => last === best.last) };
}

/** Where a phrase that begins at a word ends; words without meaning may stand between. Undefined where it does not stand there. */
function lastOf({ stems, across }: Phrase, at: number, words: readonly Word[]): number | undefined {
  let i = at;
  for (const [k, stem] of stems.entries()) {
    if (k > 0) {
      i += 1;
      while (words[i]?.skipped && words[i]!.stem !== stem) i += 1;
    }
    const word = words[i];
    if (!word || word.stem !== stem || word.sentence !== words[at]!.sentence) return undefined;
    if (!across && word.clause !== words[at]!.clause) return undefined;
  }
  return i;
}

function worthOf(
  { stems, organ, learnt, distinct, everyday }: Phrase,
  character: Character,
  about: ShownOrgan,
  at: number,
  last: number,
  words: readonly Word[],
): number | undefined {
  const cues = cuesOf(character.id);
  const telling = cues.words === '' ? [] : stemsOf(cues.words);
  const { clause, sentence } = words[at]!;
  const near = words.filter((word, i) => word.clause === clause && (i < at || i > last));
  const isCued = near.some(({ stem }) => telling.includes(stem));
  const hasOwn = (everyday && stems.length > 1) || stems.some((stem) => telling.includes(stem));
  // A short word of a character that must be meant expressly is not read where nothing says so.
  if (cues.needs && !isCued && !hasOwn && !learnt) return undefined;
  const isNeedle = character.organ === 'needle';
  const foliage = foliageOf(words, sentence);
  const standing = standingOf(character);
  // Arrangement is read off leaves and buds as well as off the twig.
  const isAbout =
    organ === about || (character.id === 'twig.arrangement' && (about === 'leaf' || about === 'bud'));
  if (!isAbout && !distinct) return undefined;
  return (
    (isAbout ? WORTH.subject : 0) +
    (learnt ? WORTH.learnt : 0) +
    WORTH.word * stems.length +
    (isCued ? WORTH.cue : 0) +
    ((isNeedle ? 'needles' : 'blades') === foliage ? WORTH.needle : 0) +
    (standing === 'mark' ? WORTH.mark : standing === 'second' ? WORTH.second : 0) +
    (character.level === 'beginner' ? WORTH.beginner : 0)
  );
}

/** Are needles or blades spoken of, in this sentence or, where it names neither, in the text? Blades where nothing says. */
function foliageOf(words: readonly Word[], sentence: number): 'needles' | 'blades' {
  const named = (word: Word) => word.stem === 'needl' || word.stem === 'leaf';
  const here = words.find((word) => word.sentence === sentence && named(word)) ?? words.find(named);
  return here?.stem === 'needl' ? 'needles' : 'blades';
}

/** A match with what denies it, and what else it may mean. */
function said(
  { last, meanings }: Match,
  at: number,
  words: readonly Word[],
  vocabulary: Vocabulary,
  taken: Set<number>,
): Understood {
  const [best, ...others] = meanings;
  const before = denialBefore(at, words, taken);
  if (before) taken.add(before.at);
  const character = vocabulary.get(best!.characterId)!;
  const meaning = deniedMeaning(best!, character, before?.kind);
  const seen = new Set([`${best!.characterId} ${best!.state}`]);
  const or = others.flatMap(({ characterId, state, worth }) => {
    if (worth < best!.worth - NEARLY || seen.has(`${characterId} ${state}`)) return [];
    seen.add(`${characterId} ${state}`);
    return [{ characterId, state }];
  });
  return {
    ...meaning,
    from: words[before?.at ?? at]!.from,
    to: words[last]!.to,
    learnt: best!.learnt,
    or,
  };
}

/** What it means that a state is denied: of a flag the other answer; of a thing that is absent, the state that says so. */
function deniedMeaning(
  { characterId, state }: Meaning,
  character: Character,
  kind: 'absent' | 'denied' | undefined,
): Meaning & { denied: boolean } {
  if (!kind) return { characterId, state, denied: false };
  if (character.kind === 'flag') return { characterId, state: 'no', denied: false };
  const none = character.states.some(({ id }) => id === 'none');
  if (kind === 'absent' && none && state !== 'none') return { characterId, state: 'none', denied: false };
  return { characterId, state, denied: true };
}

function denialBefore(at: number, words: readonly Word[], taken: ReadonlySet<number>) {
  const { clause } = words[at]!;
  let across = 0;
  for (let i = at - 1; i >= 0 && words[i]!.clause === clause; i -= 1) {
    const { stem, filler } = words[i]!;
    // “no thorns or hairs”: what was denied before carries on, and what was said before ends it.
    if (taken.has(i) && !ABSENT.has(stem)) {
      if (!words.slice(i, at).every((word, k) => k === 0 || word.filler)) return undefined;
      continue;
    }
    if (ABSENT.has(stem)) return { at: i, kind: 'absent' as const };
    if (DENIED.has(stem)) return { at: i, kind: 'denied' as const };
    if (!filler) across += 1;
    if (across > DENIES_ACROSS) return undefined;
  }
  return undefined;
}

/** The stretches that say something, of words that were not understood. */
function notUnderstood(text: string, words: readonly Word[], taken: ReadonlySet<number>): NotUnderstood[] {
  const stretches: Word[][] = [];
  let open: Word[] = [];
  const close = () => {
    const idle = (word: Word | undefined) =>
      word && (word.filler || SAYS_NOTHING.has(word.stem) || ORGAN_WORDS[word.stem]);
    while (idle(open.at(-1))) open.pop();
    while (idle(open[0])) open.shift();
    if (open.length > 0) stretches.push(open);
    open = [];
  };
  words.forEach((word, i) => {
    if (taken.has(i)) return close();
    if (open.length > 0 && open.at(-1)!.clause !== word.clause) close();
    if (open.length > 0 || !word.filler) open.push(word);
  });
  close();
  return stretches.map((stretch) => {
    const [from, to] = [stretch[0]!.from, stretch.at(-1)!.to];
    return { from, to, words: text.slice(from, to) };
  });
}
