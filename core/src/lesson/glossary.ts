import type { ProfiledTaxon } from '../evidence/index.ts';
import type { Audience } from '../score/index.ts';
import { organsInOrder, type Character, type TeachingStart, type Vocabulary } from '../vocabulary/index.ts';
import { characterLesson, lessonCharacters, type StateOnList } from './character.ts';
import { tellsIn } from './tells.ts';

/** The words of a course for one part of a tree. */
export interface GlossaryPart {
  title: string;
  entries: GlossaryEntry[];
}

export interface GlossaryEntry {
  character: Character;
  /** The states that the list shows, each with the trees that usually show it. */
  states: StateOnList[];
}

/**
 * The words that a course needs: the characters in which its trees differ with their states, organ by organ as the course looks at a tree. In plain
 * words without what only an advanced course looks at.
 *
 * @example
 * glossaryOf(list, BUILT_IN, 'plain', 'leaf')[0]!.title; // 'Foliage'
 */
export function glossaryOf(
  list: readonly ProfiledTaxon[],
  vocabulary: Vocabulary,
  audience: Audience,
  startsWith: TeachingStart,
): GlossaryPart[] {
  const characters = lessonCharacters(list, vocabulary)
    .map((id) => vocabulary.get(id)!)
    // A number needs no explaining.
    .filter(({ kind }) => kind !== 'count')
    .filter(({ level }) => audience === 'technical' || level !== 'advanced');
  return organsInOrder(startsWith).flatMap(({ organ, title }) => {
    const entries = characters
      .filter((character) => character.organ === organ)
      .map((character) => ({ character, states: characterLesson(list, character.id, vocabulary).states }));
    return entries.length > 0 ? [{ title: tellsIn(vocabulary).organs[organ] ?? title, entries }] : [];
  });
}

/** A state in the words of a course, and in the others where they differ. */
export function bothWords(
  { term, plain }: { term: string; plain: string },
  audience: Audience,
): { word: string; other: string | undefined } {
  const [word, other] = audience === 'plain' ? [plain, term] : [term, plain];
  return { word, other: other.toLowerCase() === word.toLowerCase() ? undefined : other };
}
