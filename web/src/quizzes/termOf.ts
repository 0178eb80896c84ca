import { SHOWN_BY, type Vocabulary } from '@hurrow/core/vocabulary';
import { SHOWN_TITLES } from '@hurrow/core/view';
import { inTongue } from '../language/inTongue.ts';

/**
 * A character as it is chosen for a station, with its part before it; the id where the vocabulary has it no more.
 *
 * @example
 * termOf('needle.bands', BUILT_IN); // 'leaves: white bands'
 */
export function termOf(id: string, vocabulary: Vocabulary): string {
  const character = vocabulary.get(id);
  return character ? `${inTongue(SHOWN_TITLES[SHOWN_BY[character.organ]])}: ${character.term}` : id;
}
