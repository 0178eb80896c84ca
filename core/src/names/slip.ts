import { foldLatin } from './fold.ts';

const ROWS = ['qwertyuiop', 'asdfghjkl', 'zxcvbnm'];
/** Letters that stand for one sound in some hand or tongue. */
const ALIKE = ['ck', 'cs', 'sz', 'fv', 'dt', 'mn', 'gj', 'ij', 'uv', 'vw', 'bp', 'cq', 'kq', 'xz'];
const LETTERS = 'abcdefghijklmnopqrstuvwxyz';
const [A, H] = ['a', 'h'].map((letter) => letter.charCodeAt(0)) as [number, number];

const isVowel = (letter: string): boolean => 'aeiouy'.includes(letter);

function areNeighbours(a: string, b: string): boolean {
  const [rowA, rowB] = [a, b].map((letter) => ROWS.findIndex((row) => row.includes(letter))) as [
    number,
    number,
  ];
  const at = (letter: string, row: number) => ROWS[row]!.indexOf(letter) + row / 2;
  return Math.abs(rowA - rowB) <= 1 && Math.abs(at(a, rowA) - at(b, rowB)) <= 1;
}

function costToReplace(a: string, b: string): number {
  if (a === b) return 0;
  if (isVowel(a) && isVowel(b)) return 0.6;
  if (ALIKE.some((pair) => pair.includes(a) && pair.includes(b))) return 0.6;
  return areNeighbours(a, b) ? 0.8 : 1;
}

const REPLACED = Float64Array.from([...LETTERS].flatMap((a) => [...LETTERS].map((b) => costToReplace(a, b))));
const SINGLE = Float64Array.from(
  [...LETTERS].map((letter) => (letter === 'h' ? 0.6 : isVowel(letter) ? 0.8 : 1)),
);
const DOUBLED = 0.4;
const SWAPPED = 0.8;

/** A letter too many, or too few: little where it only doubles the one beside it. */
function costOfLetter(word: string, i: number): number {
  const letter = word.charCodeAt(i);
  if (letter === word.charCodeAt(i - 1) || letter === word.charCodeAt(i + 1)) return DOUBLED;
  return letter === H ? SINGLE[H - A]! : (SINGLE[letter - A] ?? 1);
}

const WIDEST = 64;
/** Three rows of the table, used again and again: answers come by the thousand. */
const rows = [0, 1, 2].map(() => new Float64Array(WIDEST + 1));
/** What each letter of the right word costs to leave out. */
const left = new Float64Array(WIDEST + 1);

/**
 * How far a written word lies from a right one, in letters: a letter that is merely doubled counts .4, vowels and letters that sound alike .6,
 * neighbours on a keyboard and swapped letters .8, any other 1 (optimal string alignment with these weights). Both are normalised words;
 * signs other than a to z count whole.
 *
 * @param limit beyond it, what comes back is only known to be more than it
 * @example
 * slip('engleman', 'engelmann'); // 1.2: two letters swapped, one not doubled
 */
export function slip(written: string, right: string, limit = Infinity): number {
  if (written === right) return 0;
  if (written.length > WIDEST || right.length > WIDEST) return Infinity;
  let [twoBack, last, row] = rows as [Float64Array, Float64Array, Float64Array];
  last[0] = 0;
  for (let j = 1; j <= right.length; j += 1) {
    left[j] = costOfLetter(right, j - 1);
    last[j] = last[j - 1]! + left[j]!;
  }
  // Farther from the diagonal, the letters too many alone would cost more than the limit.
  const band = limit === Infinity ? WIDEST : Math.floor(limit / DOUBLED) + 1;
  if (Math.abs(written.length - right.length) > band) return Infinity;
  for (let i = 1; i <= written.length; i += 1) {
    const letter = written.charCodeAt(i - 1);
    const without = costOfLetter(written, i - 1);
    const [start, end] = [Math.max(1, i - band), Math.min(right.length, i + band)];
    row[start - 1] = start === 1 ? last[0]! + without : Infinity;
    if (end < right.length) row[end + 1] = Infinity;
    let least = row[start - 1]!;
    for (let j = start; j <= end; j += 1) {
      const wanted = right.charCodeAt(j - 1);
      const replaced = letter === wanted ? 0 : (REPLACED[(letter - A) * 26 + wanted - A] ?? 1);
      let best = last[j - 1]! + replaced;
      if (last[j]! + without < best) best = last[j]! + without;
      if (row[j - 1]! + left[j]! < best) best = row[j - 1]! + left[j]!;
      if (
        replaced > 0 &&
        i > 1 &&
        j > 1 &&
        letter === right.charCodeAt(j - 2) &&
        written.charCodeAt(i - 2) === wanted &&
        twoBack[j - 2]! + SWAPPED < best
      )
        best = twoBack[j - 2]! + SWAPPED;
      row[j] = best;
      if (best < least) least = best;
    }
    // A swap may still reach back over one row.
    if (least > limit + SWAPPED) return Infinity;
    [twoBack, last, row] = [last, row, twoBack];
  }
  return last[right.length]!;
}

/**
 * The same for a Latin word, in which spellings that sound alike stand for each other: the distance of the folded words and a quarter letter
 * for what folding bridged, where that is less.
 *
 * @example
 * latinSlip('silvestris', 'sylvestris'); // 0.25
 */
export function latinSlip(written: string, right: string, limit = Infinity): number {
  const plain = slip(written, right, limit);
  if (plain <= 0.25) return plain;
  const [a, b] = [foldedOf(written), foldedOf(right)];
  // Between what is left of very short words nearly everything is near.
  if (Math.min(a.length, b.length) < 3 && a !== b) return plain;
  return Math.min(plain, slip(a, b, limit) + 0.25);
}

const folded = new Map<string, string>();

function foldedOf(word: string): string {
  const held = folded.get(word) ?? foldLatin(word);
  if (folded.size > 20_000) folded.clear();
  folded.set(word, held);
  return held;
}

/**
 * How many letters may be wrong in a word of so many: none of two, one in up to four, then more with the length.
 *
 * @example
 * slipsAllowed(9); // 2.2
 */
export function slipsAllowed(length: number): number {
  if (length <= 2) return 0;
  if (length === 3) return 0.8;
  if (length === 4) return 1;
  if (length <= 7) return 1.6;
  if (length <= 10) return 2.2;
  return 3;
}

/** What is known of a word’s letters without their order: how often each stands in it. */
export type Letters = Uint8Array;

export function lettersOf(word: string): Letters {
  const counts = new Uint8Array(26);
  for (let i = 0; i < word.length; i += 1) {
    const at = word.charCodeAt(i) - A;
    if (at >= 0 && at < 26) counts[at]! += 1;
  }
  return counts;
}

/** Can words with these letters lie within so many slips? No slip costs less than .3 for each letter that it adds, takes or changes. */
export function mayBeNear(a: Letters, b: Letters, allowed: number): boolean {
  const most = allowed / 0.3;
  let differing = 0;
  for (let i = 0; i < 26; i += 1) {
    differing += Math.abs(a[i]! - b[i]!);
    if (differing > most) return false;
  }
  return true;
}

interface Banked {
  word: string;
  letters: Letters;
  allowed: number;
  /** Of Latin words, folded. */
  folded: string;
  foldedLetters: Letters;
}

/** How many searches a bank remembers. */
const REMEMBERED = 2000;

/** Words of which those near a written one are sought: by their letters first, since most are far off. */
export class WordBank {
  readonly #words: Banked[];
  readonly #has: ReadonlySet<string>;
  readonly #latin: boolean;
  /** A class writes the same words again and again. */
  readonly #found = new Map<string, readonly Near[]>();

  /** @param tongue whether spellings of Latin that sound alike stand for each other */
  constructor(words: Iterable<string>, tongue: 'latin' | 'english') {
    this.#has = new Set(words);
    this.#latin = tongue === 'latin';
    this.#words = [...this.#has].map((word) => {
      const folded = this.#latin ? foldLatin(word) : word;
      return {
        word,
        letters: lettersOf(word),
        allowed: slipsAllowed(word.length),
        folded,
        foldedLetters: lettersOf(folded),
      };
    });
  }

  has(word: string): boolean {
    return this.#has.has(word);
  }

  /** The words within what may be wrong in a word of their length, and within `atMost` letters, the nearest first. */
  near(written: string, atMost = Infinity): readonly Near[] {
    if (atMost !== Infinity) return this.#search(written, atMost);
    const held = this.#found.get(written) ?? this.#search(written, atMost);
    if (this.#found.size >= REMEMBERED) this.#found.clear();
    this.#found.set(written, held);
    return held;
  }

  #search(written: string, atMost: number): Near[] {
    const letters = lettersOf(written);
    const foldedLetters = this.#latin ? lettersOf(foldedOf(written)) : letters;
    const found: Near[] = [];
    for (const each of this.#words) {
      const most = Math.min(each.allowed, atMost);
      if (Math.abs(each.word.length - written.length) > 4) continue;
      const mayBe =
        mayBeNear(letters, each.letters, most) ||
        (this.#latin && mayBeNear(foldedLetters, each.foldedLetters, most));
      if (!mayBe) continue;
      const off = (this.#latin ? latinSlip : slip)(written, each.word, most);
      if (off <= most) found.push({ word: each.word, off });
    }
    return found.sort((a, b) => a.off - b.off);
  }
}

/** A word and how many letters a written one is off it. */
export interface Near {
  word: string;
  off: number;
}
