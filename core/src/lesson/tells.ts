import {
  sayingOf,
  type Character,
  type Exchange,
  type Telling,
  type Vocabulary,
} from '../vocabulary/index.ts';
import { lowerFirst } from '../words/index.ts';
import { ENGLISH_TELLING } from './english.ts';

/** How trees are told in the language of a character. */
export const tellsOf = (character: Pick<Character, 'saying'>): Telling =>
  sayingOf(character).tells ?? ENGLISH_TELLING;

/**
 * How trees are told in the language of a vocabulary; characters of a library's own have none.
 *
 * @example
 * tellsIn(BUILT_IN).titles.leaf; // 'Leaf'
 */
export const tellsIn = (vocabulary: Vocabulary): Telling =>
  tellsOf([...vocabulary.values()].find(({ saying }) => saying) ?? {});

/**
 * Words for other words.
 *
 * @example
 * exchanged('The leaf is ovate', [['The leaf', 'The leaflet']]); // 'The leaflet is ovate'
 */
export const exchanged = (words: string, exchanges: readonly Exchange[]): string =>
  exchanges.reduce((text, [sought, put]) => text.replace(new RegExp(`\\b${sought}\\b`, 'g'), put), words);

/**
 * What goes on behind a colon or another sentence, as the language writes it.
 *
 * @example
 * goingOn('The leaf is thin', ENGLISH_TELLING); // 'the leaf is thin', in German as it stands
 */
export const goingOn = (words: string, { small }: Telling): string => (small ? lowerFirst(words) : words);
