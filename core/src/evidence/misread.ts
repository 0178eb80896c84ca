import type { Character } from '../vocabulary/index.ts';
import type { Reader } from './profiled.ts';

/** No reader but the exact one is surer of anything. */
const SUREST = 0.002;

/** Share of readings of a character that name a wrong state, 0–1: `misreadRate(twigHair, 'exact')` is 0. */
export const misreadRate = (character: Character, reader: Reader): number =>
  reader === 'exact' ? 0 : Math.max(SUREST, character.misread[reader]);

/**
 * What one state is taken for, by a reader who misreads a share m of what he sees: the chance of each state, in their order, sum 1. A
 * misreading falls on the other states as often as the list shows them, of an ordinal character on the neighbours alike; nobody takes a state
 * that stands apart for another, or another for it: a blade for needles.
 *
 * @param own place of the state in the character
 * @param shown how often each state is met over the list, in any unit
 * @returns takenFor(foliageKind, BROAD, 0.02, shown)[BROAD] // 0.998
 */
export function takenFor(
  { kind, states }: Pick<Character, 'kind' | 'states'>,
  own: number,
  m: number,
  shown: ArrayLike<number>,
): Float64Array {
  const isApart = states[own]!.apart ?? false;
  const others = Float64Array.from(states, (state, s) => {
    if (s === own) return 0;
    if (kind === 'ordinal') return Number(Math.abs(s - own) === 1);
    return isApart || !state.apart ? shown[s]! : 0;
  });
  const total = others.reduce((sum, share) => sum + share, 0);
  const missed = total > 0 ? Math.min(m, isApart ? SUREST : m) : 0;
  const chances = others.map((share) => (total > 0 ? (missed * share) / total : 0));
  chances[own] = 1 - missed;
  return chances;
}
