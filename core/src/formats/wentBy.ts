import type { Answer } from '../names/index.ts';
import { done, refused, type Outcome } from '../outcome/index.ts';
import { GUESS, MOST_TOLD, WHOLE_LOOK } from '../station/index.ts';
import { SHOWN_BY, type Character } from '../vocabulary/index.ts';
import { SHOWN_TITLES } from '../view/index.ts';

const WHOLE = ['whole look', 'the whole look', WHOLE_LOOK, 'the look of it', 'all of it'];
const GUESSED = ['guess', GUESS, 'guessed', 'a guess only'];

/** What a line says, of which some words may wait for a ruling. */
export interface ReadWentBy {
  /** Ids, each once. */
  told: string[];
  /** Words that are none of what was offered, or could be several, as they were written. */
  unread: string[];
  /** Of these what could stand there; empty where all was read. */
  doubts: string[];
}

/** Words on paper are kept up to so many letters. */
const LONGEST = 80;

/**
 * Reads what a paper says a tree was named by: characters by their words, terms or ids, or the whole look of it, or a guess, parted by semicolons,
 * commas or “and”. A word that several characters share stands for the one of the organ that is written with it (“bud shape”).
 *
 * @param offered the characters that the station offered
 * @returns what was read and which words wait for a ruling, at most three things together; refused where it is more, or nobody asked
 * @example
 * readWentBy('white bands; pointy tips', offered); // { ok: true, value: { told: ['needle.bands'], unread: ['pointy tips'], doubts: ['“pointy tips” is nothing…'] } }
 */
export function readWentBy(text: string, offered: readonly Character[]): Outcome<ReadWentBy> {
  const read: ReadWentBy = { told: [], unread: [], doubts: [] };
  for (const part of partsOf(text, offered)) {
    if (offered.length === 0)
      return refused(`“${part}” is told as gone by, but this station does not ask that. Leave it out.`);
    const found = oneOf(part, offered);
    if (found.length === 1) {
      if (!read.told.includes(found[0]!)) read.told.push(found[0]!);
      continue;
    }
    if (part.length > LONGEST)
      return refused(`“${part.slice(0, 30)}…” is too long. Write in a few words what it was named by.`);
    if (read.unread.some((words) => wordsKey(words) === wordsKey(part))) continue;
    read.unread.push(part);
    read.doubts.push(found.length ? twofold(part, found, offered) : strange(part, offered));
  }
  const things = read.told.length + read.unread.length;
  if (things > MOST_TOLD)
    return refused(
      `“${text}” tells of ${things} things; up to ${MOST_TOLD} count. Keep those it was named by.`,
    );
  return done(read);
}

/** The text by which equal words are ruled on at once. */
export const wordsKey = (words: string): string => plain(words);

/**
 * What an answer tells to be gone by: what was read of it, and what its other words count as by ruling.
 *
 * @param ruled what words count as, by `wordsKey`: a character, the whole look, a guess, or null for nothing that was offered
 * @returns ids of what was offered, each once, at most three
 * @example
 * toldOf({ wentByUnread: ['pointy tips'] }, ['bud.tip'], new Map([['pointy tip', 'bud.tip']])); // ['bud.tip']
 */
export function toldOf(
  { wentBy = [], wentByUnread = [] }: Pick<Answer, 'wentBy' | 'wentByUnread'>,
  offered: readonly string[],
  ruled: ReadonlyMap<string, string | null>,
): string[] {
  const said = [...wentBy, ...wentByUnread.flatMap((words) => ruled.get(wordsKey(words)) ?? [])];
  const told = said.filter((id) => id === WHOLE_LOOK || id === GUESS || offered.includes(id));
  return [...new Set(told)].slice(0, MOST_TOLD);
}

/** A whole line that is one character's words stays whole, so that “lobes and tips” is not parted. */
function partsOf(text: string, offered: readonly Character[]): string[] {
  return text
    .split(/[;,\n]/)
    .flatMap((piece) => (oneOf(piece, offered).length > 0 ? [piece] : piece.split(/\band\b|&|\+/i)))
    .map((piece) => piece.trim())
    .filter(Boolean);
}

function oneOf(part: string, offered: readonly Character[]): string[] {
  const said = plain(part);
  if (WHOLE.map(plain).includes(said)) return [WHOLE_LOOK];
  if (GUESSED.map(plain).includes(said)) return [GUESS];
  const exact = offered.filter((character) => wordsOf(character).includes(said));
  if (exact.length > 0) return exact.map(({ id }) => id);
  // “the shape of the bud”: all the words of a name, in whatever order.
  const words = new Set(said.split(' '));
  const same = offered.filter((character) =>
    wordsOf(character).some((name) => sameWords(name.split(' '), words)),
  );
  if (same.length > 0) return same.map(({ id }) => id);
  // “bands” for white bands; “shape” could be several.
  return offered
    .filter((character) => wordsOf(character).some((name) => holds(name.split(' '), words)))
    .map(({ id }) => id);
}

const holds = (name: readonly string[], words: ReadonlySet<string>): boolean =>
  words.size > 0 && [...words].every((word) => name.includes(word));

const sameWords = (name: readonly string[], words: ReadonlySet<string>): boolean =>
  name.length === words.size && name.every((word) => words.has(word));

/** Small letters, without what only joins words; the singular for a simple plural. */
const plain = (text: string): string =>
  text
    .toLowerCase()
    .replace(/[^\p{L}\p{N}. ]+/gu, ' ')
    .split(/\s+/)
    .filter((word) => word && !['the', 'of', 'a', 'an', 'its', 'on'].includes(word))
    .map((word) => (/[^s]s$/.test(word) && word.length > 3 ? word.slice(0, -1) : word))
    .join(' ');

const wordsOf = ({ id, term, plain: said, organ }: Character): string[] => {
  const organs = [organ, SHOWN_TITLES[SHOWN_BY[organ]]];
  return [id, ...[term, said].flatMap((word) => [word, ...organs.map((of) => `${of} ${word}`)])].map(plain);
};

const twofold = (part: string, found: readonly string[], offered: readonly Character[]): string =>
  `“${part}” could be ${found.map((id) => inTerms(id, offered)).join(' or ')}. Write which.`;

const strange = (part: string, offered: readonly Character[]): string =>
  `“${part}” is nothing that this station offers to go by. Write one of ${offered.map(({ id }) => inTerms(id, offered)).join('; ')}; the whole look of it; or a guess.`;

/**
 * A character of a checklist as it is written on paper and read again: by its term, with its organ where another of the list has the same.
 *
 * @example
 * inTerms('bud.shape', offered); // 'bud shape'
 */
export function inTerms(id: string, offered: readonly Character[]): string {
  const character = offered.find((entry) => entry.id === id);
  if (!character) return id;
  const { term, organ } = character;
  const alone = offered.filter((entry) => entry.term === term).length === 1;
  return alone ? term : `${SHOWN_TITLES[SHOWN_BY[organ]]} ${term}`;
}
