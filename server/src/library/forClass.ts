import type { Course } from '@hurrow/contract/courses';
import { GERMAN_TOLD } from '@hurrow/core/lesson/german';
import { CLASS_LANGUAGES } from '@hurrow/core/taxon';
import { saidIn, type Vocabulary } from '@hurrow/core/vocabulary';

const said = new WeakMap<Vocabulary, Vocabulary>();

/**
 * A vocabulary in the language in which a course calls its trees, where Hurrow has its words: for what a class reads on a wall and on paper.
 * Lessons made of it are in that language.
 */
export function forClass(vocabulary: Vocabulary, { namesIn }: Pick<Course, 'namesIn'>): Vocabulary {
  if (!CLASS_LANGUAGES.includes(namesIn ?? '')) return vocabulary;
  const made = said.get(vocabulary) ?? saidIn(GERMAN_TOLD, vocabulary);
  said.set(vocabulary, made);
  return made;
}
