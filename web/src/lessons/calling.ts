import type { CharacterLesson, ToCall } from '@hurrow/core/lesson';
import type { Trait } from '@hurrow/core/specimen';
import { MEDIUM_VIEWS, type View } from '@hurrow/core/view';
import { SHOWN_BY, type Character } from '@hurrow/core/vocabulary';

/** Specimens called so far. */
export interface Calling {
  at: number;
  /** What was called at each, by the state's id. */
  said: string[];
}

export const BEGIN_CALLING: Calling = { at: 0, said: [] };

/** A call of the specimen on the table; a second one changes nothing. */
export const called = (calling: Calling, state: string): Calling =>
  calling.said.length > calling.at ? calling : { ...calling, said: [...calling.said, state] };

export const next = (calling: Calling, specimens: readonly ToCall[]): Calling =>
  calling.said.length > calling.at && calling.at < specimens.length - 1
    ? { ...calling, at: calling.at + 1 }
    : calling;

/** Whether a call is right for the individual that was drawn. */
export const isRight = (said: string, trait: Trait | undefined): boolean =>
  Array.isArray(trait) ? trait.includes(said) : trait === said;

/** The states of a drawn individual in the words given; of what is not known of it, nothing. */
export const rightStates = (trait: Trait | undefined, { states }: CharacterLesson): string[] =>
  states.map(({ id }) => id).filter((id) => isRight(id, trait));

/** A day on which the part is on the tree, of a view that shows it: buds and twigs bare, the rest in summer, flowers in spring. */
export function viewOfCharacter({ organ, part }: Pick<Character, 'organ' | 'part'>): View {
  const isBare = organ === 'twig' || organ === 'bud';
  return {
    ...MEDIUM_VIEWS.livingTree,
    organs: [SHOWN_BY[organ]],
    day: part === 'flowers' ? 130 : isBare ? 20 : 215,
    leaves: isBare ? 'off' : 'on',
    qualifiers: { plantAge: 'mature' },
  };
}
