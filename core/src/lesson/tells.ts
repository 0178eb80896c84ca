import {
  sayingOf,
  type Character,
  type Exchange,
  type Saying,
  type Telling,
  type Vocabulary,
} from '../vocabulary/index.ts';
import { lowerFirst } from '../words/index.ts';
import { ENGLISH_TELLING } from './english.ts';

/** How trees are told in the language of a character. */
export const tellsOf = (character: Pick<Character, 'saying'>): Telling =>
  sayingOf(character).tells ?? ENGLISH_TELLING;

/** What is said between the words of a vocabulary; characters of a library's own have nothing to say of it. */
export const sayingIn = (vocabulary: Vocabulary): Saying =>
  sayingOf([...vocabulary.values()].find(({ saying }) => saying));

/**
 * How trees are told in the language of a vocabulary.
 *
 * @example
 * tellsIn(BUILT_IN).titles.leaf; // 'Leaf'
 */
export const tellsIn = (vocabulary: Vocabulary): Telling => sayingIn(vocabulary).tells ?? ENGLISH_TELLING;

/**
 * Words for other words.
 *
 * @example
 * exchanged('The leaf is ovate', [['The leaf', 'The leaflet']]); // 'The leaflet is ovate'
 */
export const exchanged = (words: string, exchanges: readonly Exchange[]): string =>
  exchanges.reduce((text, [sought, put]) => text.replace(new RegExp(`\\b${sought}\\b`, 'g'), put), words);

/**
 * What goes on within a sentence or behind a colon, as the language writes it.
 *
 * @example
 * goingOn('The leaf is thin', sayingIn(BUILT_IN)); // 'the leaf is thin', in German as it stands
 */
export const goingOn = (words: string, { small }: Saying): string => (small ? lowerFirst(words) : words);
