import { vocabularyOfLibrary } from '@hurrow/core/library';
import type { Vocabulary } from '@hurrow/core/vocabulary';
import type { PracticePack } from '@hurrow/contract/practice';
import { spokenVocabulary } from '../language/vocabulary.ts';

const read = new WeakMap<object, Vocabulary>();

/** The characters of a pack in the language of the page: those that are built in and the library's own. Read once. */
export function readVocabulary({ characters }: Pick<PracticePack, 'characters'>): Vocabulary {
  const held = read.get(characters) ?? vocabularyOfLibrary({ characters });
  read.set(characters, held);
  return spokenVocabulary(held);
}
