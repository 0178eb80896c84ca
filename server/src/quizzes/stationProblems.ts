import type { EnoughToDraw } from '@hurrow/core/specimen';
import type { Vocabulary } from '@hurrow/core/vocabulary';
import { SHOWN_TITLES } from '@hurrow/core/view';
import { badInput } from '../api/problem.ts';
import { say, word } from '../api/say.ts';

/** So many characters are named that ought to be scored. */
const NAMED = 5;

/** A station whose tree has too few scores for a drawing that is more than a guess. */
export function tooLittleScored(position: number, found: readonly EnoughToDraw[], vocabulary: Vocabulary) {
  const organs = found.map(({ organ }) => word(SHOWN_TITLES[organ]));
  const terms = found.flatMap(({ missing }) => missing).map((id) => vocabulary.get(id)?.term ?? id);
  const missing = terms.length > 0 ? ` (${terms.slice(0, NAMED).join(', ')})` : '';
  return badInput(
    say`Station ${position}: too little is scored to draw its ${organs}${missing}. Score them, or choose another medium.`,
    { position },
    'tooLittleToDraw',
  );
}

/** A station whose question does not fit what it shows; why is said by the heart, in English. */
export function doesNotFit(position: number, why: string) {
  const message = `Station ${position} ${why}`;
  return badInput(message, { position });
}
