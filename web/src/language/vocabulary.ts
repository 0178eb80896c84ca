import type { Saying, Vocabulary } from '@hurrow/core/vocabulary';

/** The words of characters and their states in a language other than English. */
interface Spoken {
  saying: Saying;
  vocabulary(written: Vocabulary): Vocabulary;
  word(word: string, characterId: string, stateId?: string): string;
}

let spoken: Spoken | undefined;
let said = new WeakMap<Vocabulary, Vocabulary>();
const writtenOf = new WeakMap<Vocabulary, Vocabulary>();

/** Speaks of characters in another language from now on; in English again without one. */
export function speakOfCharacters(language: Spoken | undefined): void {
  spoken = language;
  said = new WeakMap();
}

/** What is said between the words of characters, for what takes a character's own: empty in English. */
export const sayingSpoken = (): { saying?: Saying } => (spoken ? { saying: spoken.saying } : {});

/** A vocabulary in the language that is spoken: the same object each time. What is edited and saved is taken as it is written. */
export function spokenVocabulary(written: Vocabulary): Vocabulary {
  if (!spoken) return written;
  const made = said.get(written) ?? spoken.vocabulary(written);
  said.set(written, made);
  writtenOf.set(made, written);
  return made;
}

/** A vocabulary as its library has it, for what is written in the library's own words. */
export const writtenVocabulary = (vocabulary: Vocabulary): Vocabulary =>
  writtenOf.get(vocabulary) ?? vocabulary;

/**
 * A word for a character or one of its states that came in English, in the language that is spoken; as it came where it is a library's own.
 *
 * @example
 * wordOfTree('naked', 'bud.scales', 'none'); // 'naked', in German 'nackt'
 */
export const wordOfTree = (word: string, characterId: string, stateId?: string): string =>
  spoken ? spoken.word(word, characterId, stateId) : word;
