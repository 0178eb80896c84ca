import { comparedWord } from './compared.ts';
import type { CommonName, KnownNames } from './known.ts';
import { otherPlants } from './otherPlants.ts';
import { UNKNOWN, type Reading } from './readLatin.ts';
import { lettersOf, mayBeNear, slip, slipsAllowed } from './slip.ts';
import type { Word } from './written.ts';

const whole = (names: readonly CommonName[]): Reading => ({
  how: 'whole',
  met: names.map((name) => ({ name, off: 0 })),
});

/** What is said behind a name without being part of it. */
const ENDINGS = new Set(['tree', 'shrub', 'bush']);

/** Reads words as a common name: whole, by rule, turned round, shortened, misspelled. */
export function readCommon(written: readonly Word[], known: KnownNames): Reading {
  const words = written.map(({ word }) => comparedWord(word));
  if (words.length === 0 || words.length > 7) return UNKNOWN;
  const exact = exactly(words, known) ?? exactly([written.map(({ word }) => word).join('')], known);
  // “pond. pine” with its full stop is not the pond pine.
  const short = shortened(written, words, known);
  if (exact && !(exact.how === 'other' && written.some((word) => word.short) && short.length > 0))
    return exact;
  // “fir, grand”: the noun first.
  const turned =
    words.length > 1 && words.length < 5 ? exactly([...words.slice(1), words[0]!], known) : undefined;
  if (turned) return turned;
  const last = words.at(-1)!;
  if (words.length > 1 && ENDINGS.has(last) && !known.byNoun.has(last)) {
    const bare = readCommon(written.slice(0, -1), known);
    if (bare.how === 'whole' || bare.how === 'genus') return bare;
  }
  if (words.length > 2 && words[0] === 'common') {
    const bare = exactly(words.slice(1), known);
    if (bare?.how === 'whole') return bare;
  }
  const near = nearNames(written, words, known);
  // “gre alder” without a stop may be short for green, and a slip of grey.
  const isPlain = written.every((word) => !word.short && word.word.length > 2);
  if (short.length > 0 && near.how === 'near' && isPlain)
    return { ...near, met: [...near.met, ...short.map((name) => ({ name, off: near.off ?? 0 }))] };
  return short.length > 0 ? whole(short) : near;
}

/** A common name, or what follows from one by rule, or rightly the name of another plant. */
export function exactly(words: readonly string[], known: KnownNames): Reading | undefined {
  const joined = words.join('');
  const named = known.byCommon.get(joined) ?? known.byShort.get(joined);
  if (named) return whole(named);
  const noun = words.length === 1 ? known.byNoun.get(joined) : undefined;
  if (noun && noun.length > 0) return { how: 'genus', met: noun.map((name) => ({ name, off: 0 })) };
  const other = otherPlants().common.get(joined);
  return other === undefined ? undefined : { how: 'other', met: [], other };
}

/** Names of the list that the words shorten: “W. white pine”, “Rky Mtn juniper”, “RM maple”. The noun stands whole, or with a full stop. */
function shortened(written: readonly Word[], words: readonly string[], known: KnownNames): CommonName[] {
  const { isCommonWord } = otherPlants();
  const isWord = (word: string) => isCommonWord(word) || known.commonWords.has(word);
  const cut = written.map(({ word, short }, i) => short || (word.length <= 4 && !isWord(words[i]!)));
  const last = written.at(-1)!;
  if (!cut.some(Boolean) || cut.every(Boolean) || (cut.at(-1) && !last.short)) return [];
  const fits = known.common.filter((name) => covers(words, cut, name.words));
  // What one shortens is what a tree is called first.
  const first = fits.filter(({ preferred }) => preferred);
  return first.length > 0 ? first : fits;
}

function covers(words: readonly string[], cut: readonly boolean[], name: readonly string[]): boolean {
  if (words.length === 0) return name.length === 0;
  const [word, ...rest] = words as [string, ...string[]];
  const [isCut, ...restCut] = cut;
  if (name.length === 0) return false;
  if (word === name[0]) return covers(rest, restCut, name.slice(1));
  if (!isCut) return false;
  if (shortens(word, name[0]!) && covers(rest, restCut, name.slice(1))) return true;
  // “RM” for Rocky Mountain.
  return (
    word.length > 1 &&
    word.length <= name.length &&
    [...word].every((letter, i) => name[i]!.startsWith(letter)) &&
    covers(rest, restCut, name.slice(word.length))
  );
}

/** The beginning of a word, or its first letter and some consonants in their order: “eng”, “blk”, “rky”. */
function shortens(word: string, full: string): boolean {
  if (full.startsWith(word)) return word.length < full.length && (word.length !== 2 || full.length > 4);
  if (word.length < 3 || word[0] !== full[0] || /[aeiou]/.test(word.slice(1))) return false;
  let at = 0;
  for (const letter of word) {
    at = full.indexOf(letter, at) + 1;
    if (at === 0) return false;
  }
  return word.length <= full.length - 2;
}

/**
 * Misspelled common names. A word that is rightly a word of some name is no slip for another: “eastern white pine” is not western, “red elder”
 * no alder; and what is as near to the name of another plant names that, or nothing.
 */
function nearNames(written: readonly Word[], words: readonly string[], known: KnownNames): Reading {
  const { isCommonWord, isNoun, commonBank, common } = otherPlants();
  const joined = words.join('');
  if (joined.length < 2) return UNKNOWN;
  const plain = written.map(({ word }) => word);
  const spelled = plain.join('');
  const isCompared = spelled !== joined;
  const letters = lettersOf(joined);
  // What stands in front of nouns is no noun: “Scots pin”, though there is a pin oak.
  const right = words.filter((word, i) =>
    i < words.length - 1
      ? isCommonWord(word) || known.commonWords.has(word)
      : isNoun(word) || known.byNoun.has(word),
  );
  const found: Reading['met'] = [];
  const within = (name: CommonName) =>
    right.every(
      (word) =>
        name.words.includes(word) || (name.words.length !== words.length && standsIn(word, name.joined)),
    );
  for (const name of candidates(right, known)) {
    if (Math.abs(name.joined.length - joined.length) > 5 || !within(name)) continue;
    // “yw” can be little but yew.
    const allowed = joined.length === 2 && name.joined.length === 3 ? 1 : slipsAllowed(name.joined.length);
    if (!mayBeNear(letters, name.letters, allowed + 0.6)) continue;
    let off = nearness(words, joined, name.words, name.joined);
    // As it is spelled, where that is another text than what is compared.
    if (off > 0 && (isCompared || name.spelled !== name.joined))
      off = Math.min(off, nearness(plain, spelled, name.plain, name.spelled));
    if (off <= allowed) found.push({ name, off });
  }
  if (found.length === 0 && words.length > 1) return UNKNOWN;
  const least = Math.min(...found.map(({ off }) => off));
  const other = commonBank
    .near(joined, least + 0.25)
    .find(({ word }) => !known.byCommon.has(word) && !known.byShort.has(word));
  if (other && other.off <= least + 0.25)
    return { how: 'other', met: [], other: common.get(other.word)!, off: other.off };
  return found.length > 0 ? { how: 'near', met: found, off: least } : UNKNOWN;
}

/** Names that may be meant: of a word that is right, those that have it, by itself or within theirs. */
function candidates(right: readonly string[], known: KnownNames): readonly CommonName[] {
  const [longest] = [...right].sort((a, b) => b.length - a.length);
  return longest === undefined
    ? known.allCommon
    : known.allCommon.filter(({ joined }) => joined.includes(longest));
}

/** How many letters are wrong, in all; without end where a word has too many. */
function nearness(words: readonly string[], joined: string, right: readonly string[], whole: string): number {
  const off = slip(joined, whole, slipsAllowed(whole.length));
  if (words.length !== right.length || off === Infinity) return off;
  // Beside other words that are right, even a word of three letters may have one wrong.
  const allowed = (word: string) => (word.length === 3 && right.length > 1 ? 1 : slipsAllowed(word.length));
  return words.some((word, i) => slip(word, right[i]!) > allowed(right[i]!)) ? Infinity : off;
}

/** “bark” in “whitebark”: a name written in more words than it has. */
const standsIn = (word: string, joined: string): boolean => word.length > 2 && joined.includes(word);
