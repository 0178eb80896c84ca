import { GERMAN_TOLD } from '@hurrow/core/lesson/german';
import { CLASS_LANGUAGES } from '@hurrow/core/taxon';
import { saidIn, type Vocabulary } from '@hurrow/core/vocabulary';

const said = new WeakMap<Vocabulary, Vocabulary>();

/**
 * A vocabulary in a language, as it stands where that is English or Hurrow has no words of it. Lessons made of it are in that language.
 *
 * @param language a tag of BCP 47: of the page that asks, or for what a class reads on a wall and on paper that in which its course calls trees
 */
export function spokenIn(vocabulary: Vocabulary, language: string | null): Vocabulary {
  if (!CLASS_LANGUAGES.includes(language ?? '')) return vocabulary;
  const made = said.get(vocabulary) ?? saidIn(GERMAN_TOLD, vocabulary);
  said.set(vocabulary, made);
  return made;
}
