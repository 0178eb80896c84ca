import { LEAF_PHRASES } from './leafPhrases.ts';
import { TREE_PHRASES } from './treePhrases.ts';
import { TWIG_PHRASES } from './twigPhrases.ts';

/** How a character is said of a tree. `{}` stands for its value; without it the phrase holds for one state alone. */
export interface Phrase {
  /** A piece of a line: “needles {} to a bundle”. */
  technical: string;
  /** A sentence without its full stop: “The needles come in bunches of {}”. */
  plain: string;
}

/**
 * How what is scored is said as a dendrologist says it, by `character` or `character=state`. One a line: `key | technical | plain`. A dash
 * is never said; what begins with `~` (no thorns, a single trunk) is no news of a tree alone, and is said only beside one that it tells it from.
 */
const phrases = new Map<string, Phrase>();
for (const line of [LEAF_PHRASES, TWIG_PHRASES, TREE_PHRASES].join('\n').split('\n')) {
  const [key, technical, plain] = line.split('|').map((cell) => cell.trim());
  if (key && technical && plain) phrases.set(key, { technical, plain });
}

/** All keys that have a phrase: each must be a built-in character or one of its states. */
export const PHRASE_KEYS: readonly string[] = [...phrases.keys()];

/** The phrase of a character, or of one of its states where it has one of its own. */
export const phraseOf = (characterId: string, state?: string): Phrase | undefined =>
  (state === undefined ? undefined : phrases.get(`${characterId}=${state}`)) ?? phrases.get(characterId);
