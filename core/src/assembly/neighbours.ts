import type { Candidate } from './candidates.ts';
import type { ToOrder } from './order.ts';
import { kindOf } from './kinds.ts';
import type { ClassSoFar } from './wishes.ts';

/** A rival that so many careful readers cannot exclude gives the other away when it stands next door. */
const GIVES_AWAY = 0.03;

/**
 * Which stations of a quiz must not stand near each other: two of one tree, of a pair that the class mixes up, and those where one is among the rivals
 * of the other.
 */
export function neighboursOf(
  stations: readonly Pick<Candidate, 'taxonId' | 'kind' | 'rivals'>[],
  { mixedUp }: Pick<ClassSoFar, 'mixedUp'>,
): ToOrder[] {
  const isPair = (x: string, y: string) =>
    mixedUp.some(({ a, b }) => (a === x && b === y) || (a === y && b === x));
  const rivals = (one: (typeof stations)[number], other: (typeof stations)[number]) =>
    one.rivals.some(({ taxonId, share }) => taxonId === other.taxonId && share >= GIVES_AWAY);
  return stations.map((one, i) => ({
    shows: kindOf(one.kind)?.organs.join() ?? one.kind,
    apart: stations.flatMap((other, k) =>
      k !== i &&
      (one.taxonId === other.taxonId ||
        isPair(one.taxonId, other.taxonId) ||
        rivals(one, other) ||
        rivals(other, one))
        ? [k]
        : [],
    ),
  }));
}
