import { vocabularyOfLibrary } from '@hurrow/core/library';
import type { Vocabulary } from '@hurrow/core/vocabulary';
import type { PracticePack } from '@hurrow/contract/practice';

const read = new WeakMap<object, Vocabulary>();

/** The characters of a pack: those that are built in and the library's own. Read once. */
export function readVocabulary({ characters }: Pick<PracticePack, 'characters'>): Vocabulary {
  const held = read.get(characters) ?? vocabularyOfLibrary({ characters });
  read.set(characters, held);
  return held;
}
