import { readingsOf, scoresInView, type ProfiledTaxon, type ReadingOptions } from '../evidence/index.ts';
import { admits, type ScoreValue } from '../score/index.ts';
import type { Traits } from '../specimen/index.ts';
import type { View } from '../view/index.ts';
import type { Character, Vocabulary } from '../vocabulary/index.ts';

/** A “what do you see” question of a station: a character that its students read off the specimen besides naming the tree. */
export interface SeeingQuestion {
  characterId: string;
  /** The states that are right: those of the individual, where it is known, else all that its taxon may show. */
  right: string[];
}

/** At most so many questions besides the name at one station: more would be an examination of their own. */
export const MOST_QUESTIONS = 3;

/** The states to choose from; a flag is answered by yes or no. Empty where a character has no states to choose. */
export const statesToSee = (character: Character): string[] => {
  if (character.derived) return [];
  if (character.kind === 'flag') return ['yes', 'no'];
  return character.kind === 'categorical' || character.kind === 'ordinal'
    ? character.states.map(({ id }) => id)
    : [];
};

/**
 * Ids of the characters that can be asked at a station: with states to choose from, perceived in the view, and scored for its taxon so that of each
 * state it is known whether it is right. Where several states may occur together, only a score that names them all says so.
 */
export function askable(
  profiled: ProfiledTaxon,
  vocabulary: Vocabulary,
  view: View,
  options: ReadingOptions = {},
): string[] {
  const visible = readingsOf([profiled], vocabulary, view, options).channels;
  return [...visible.keys()].filter((id) => {
    const character = vocabulary.get(id)!;
    if (statesToSee(character).length < 2) return false;
    return !character.anyOf || heldInView(id, profiled, view).every(isExhaustive);
  });
}

/**
 * The question about one character, fixed with its right answers as the quiz opens; `traits` are those of the individual shown.
 * @returns undefined where the character cannot be asked at this station (see `askable`).
 */
export function seeingQuestion(
  characterId: string,
  profiled: ProfiledTaxon,
  vocabulary: Vocabulary,
  view: View,
  traits: Traits | null,
  options: ReadingOptions = {},
): SeeingQuestion | undefined {
  if (!askable(profiled, vocabulary, view, options).includes(characterId)) return undefined;
  const character = vocabulary.get(characterId)!;
  const trait = traits?.values[characterId];
  if (trait !== undefined) {
    const right =
      typeof trait === 'boolean' ? [trait ? 'yes' : 'no'] : [trait].flat().map((state) => String(state));
    return { characterId, right };
  }
  const held = heldInView(characterId, profiled, view);
  return {
    characterId,
    right: statesToSee(character).filter((state) => held.some((value) => admits(value, state))),
  };
}

/** What the scores of one character say under the qualifiers of a view. */
const heldInView = (characterId: string, { scores }: ProfiledTaxon, view: View): ScoreValue[] =>
  scoresInView(
    scores.filter((score) => score.characterId === characterId),
    view,
  ).map(({ value }) => value);

const isExhaustive = (value: ScoreValue): boolean => value.kind === 'states' && value.exhaustive === true;
