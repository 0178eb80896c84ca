import { plural, t } from '@lingui/core/macro';
import type { Character, Organ, State } from '@hurrow/core/vocabulary';

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
  const states = !hasStates(draft)
    ? []
    : draft.states
        .filter((state) => state.term.trim())
        .map((state) => ({
          ...state,
          id: state.id || slug(state.term),
          plain: state.plain.trim() || state.term,
          definition: state.definition.trim() || state.term,
        }));
  const { unit, raisedWithin, ...rest } = draft;
  return {
    ...rest,
    id: draft.id || `${draft.organ}.own-${slug(draft.term)}`,
    plain: draft.plain.trim() || draft.term,
    states,
    // Emptied is not untouched: a built-in character would take back those that it ships with.
    ...(raisedWithin ? { raisedWithin: raisedWithin.filter(Boolean) } : {}),
    ...(draft.kind === 'measure' ? { unit: unit ?? 'cm' } : {}),
  };
}

/** A character of nothing yet, of an organ. */
export const blank = (organ: Organ): Character => ({
  id: '',
  organ,
  term: '',
  plain: '',
  kind: 'categorical',
  anyOf: false,
  states: [NO_STATE, NO_STATE],
  requires: [],
  part: organ === 'leaf' || organ === 'needle' ? 'leaves' : 'always',
  distance: 'hand',
  sense: 'eye',
  level: 'intermediate',
  misread: { careful: 0.015, novice: 0.1 },
  standing: 'second',
});

const NO_STATE: State = { id: '', term: '', plain: '', definition: '' };

export const hasStates = ({ kind }: Character): boolean => kind === 'categorical' || kind === 'ordinal';

/** A draft with a part of one of its states written; the place after the last one adds a state. */
export const withState = (
  draft: Character,
  i: number,
  part: 'term' | 'plain' | 'definition',
  text: string,
): Character => ({
  ...draft,
  states: (i < draft.states.length ? draft.states : [...draft.states, NO_STATE]).map((state, k) =>
    k === i ? { ...state, [part]: text } : state,
  ),
});

/** A draft in a group of those that say nearly the same; in none where the name is empty. */
export function withGroup(draft: Character, name: string): Character {
  const { group: _, ...rest } = draft;
  return name ? { ...rest, group: name } : rest;
}

/** Genera as they are typed, with commas: “tilia, Picea” is Tilia and Picea. What is still being typed stays. */
export const generaOf = (text: string): string[] =>
  text === ''
    ? []
    : text.split(',').map((part) => {
        const word = part.trim();
        return word.charAt(0).toUpperCase() + word.slice(1);
      });

/** A share as it is typed: 0.015 is “1.5”. */
export const asPercent = (share: number): string => String(Number((share * 100).toFixed(2)));

export const fromPercent = (text: string): number => Number(text || 0) / 100;

type Uses = { scores: number; taxa: string[] } | undefined;

/** What rests on a character. Empty until that is known. */
export const usesInWords = (uses: Uses): string =>
  !uses
    ? ''
    : uses.scores === 0
      ? t`Not scored for any taxon yet.`
      : t`${plural(uses.scores, { one: '# score', other: '# scores' })} of ${plural(uses.taxa.length, { one: '# taxon', other: '# taxa' })} rest on it. Renaming keeps them; states in use can be reworded, not taken out.`;

/** What taking it away does. */
export const takingAway = (builtIn: boolean, uses: Uses): string =>
  builtIn
    ? t`Back to the built-in form`
    : uses?.scores
      ? t`Take away, with ${plural(uses.scores, { one: '# score', other: '# scores' })}`
      : t`Take away`;
