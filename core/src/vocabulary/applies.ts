import type { Character, Requirement } from './character.ts';

/**
 * What of a character's requirements is not met, as far as is known of the characters that govern it; undefined where it applies.
 *
 * @param shows whether a governing character shows one of some states; undefined where nothing is known of it
 * @param unknown what counts where nothing is known: met, or not
 * @example
 * notMet(BUILT_IN.get('leaf.shape')!, (id, states) => states.includes('single'), true); // { character: 'foliage.kind', states: ['broad'] }
 */
export const notMet = (
  { requires }: Pick<Character, 'requires'>,
  shows: (governor: string, states: readonly string[]) => boolean | undefined,
  unknown: boolean | ((governor: string) => boolean),
): Requirement | undefined =>
  requires.find(
    ({ character, states }) =>
      !(shows(character, states) ?? (typeof unknown === 'function' ? unknown(character) : unknown)),
  );

/** Does a character apply? See `notMet`. */
export const applies = (...asked: Parameters<typeof notMet>): boolean => notMet(...asked) === undefined;
