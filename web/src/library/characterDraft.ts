import type { Character } from '@hurrow/core/vocabulary';

/** Words as a part of an id: “Crested ridge” is crested-ridge. */
const slug = (text: string): string =>
  text
    .toLowerCase()
    .normalize('NFD')
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '');

/**
 * A character as it is saved, from a form that may be half filled: states without a term are left out, plain words and definitions that
 * are missing are the term, a new character and new states get ids of their terms, and only a measure has a unit.
 */
export function characterOf(draft: Character): Character {
  const hasStates = draft.kind === 'categorical' || draft.kind === 'ordinal';
  const states = !hasStates
    ? []
    : draft.states
        .filter((state) => state.term.trim())
        .map((state) => ({
          ...state,
          id: state.id || slug(state.term),
          plain: state.plain.trim() || state.term,
          definition: state.definition.trim() || state.term,
        }));
  const { unit, ...rest } = draft;
  return {
    ...rest,
    id: draft.id || `${draft.organ}.own-${slug(draft.term)}`,
    plain: draft.plain.trim() || draft.term,
    states,
    ...(draft.kind === 'measure' ? { unit: unit ?? 'cm' } : {}),
  };
}
