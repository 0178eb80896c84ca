import type { Key, KeyNode } from '../key/index.ts';
import type { View } from '../view/index.ts';
import type { Parting } from './parting.ts';

/** Piles as they were made: of specimens by their places; each may have been sorted again. */
export interface Pile {
  specimens: readonly number[];
  /** The two piles it was sorted into. */
  into?: readonly [Pile, Pile];
}

/** A sort with what parts it, and the sorts below. */
export interface SortedPile {
  specimens: readonly number[];
  parting?: Parting;
  into?: readonly [SortedPile, SortedPile];
}

/** A pile sorted into two: the chosen specimens on the first. Nothing is changed where one would be empty. */
export function sortPile(pile: Pile, chosen: readonly number[]): Pile {
  const [first, second] = [true, false].map((wanted) =>
    pile.specimens.filter((place) => chosen.includes(place) === wanted),
  );
  return first!.length === 0 || second!.length === 0
    ? pile
    : { ...pile, into: [{ specimens: first! }, { specimens: second! }] };
}

/**
 * The class's own key: each sort that a character parts is a couplet, each pile that is left an end. A sort that nothing parts ends there,
 * with all its trees. Undefined where the first sort has no character.
 *
 * @param taxonOf the tree of a specimen
 */
export function keyOfSorts(
  sorted: SortedPile,
  view: View,
  taxonOf: (specimen: number) => string,
): Key | undefined {
  const taxa = (pile: SortedPile) => [...new Set(pile.specimens.map(taxonOf))];
  const nodeOf = (pile: SortedPile): KeyNode => {
    const { first, second } = pile.parting ?? {};
    // A key names what both sides show: one side that says nothing makes no couplet.
    if (!pile.into || !first || !second) return { kind: 'end', taxa: taxa(pile), share: 0 };
    return {
      kind: 'couplet',
      share: 0,
      byHand: true,
      leads: [
        { condition: first, also: [], to: nodeOf(pile.into[0]) },
        { condition: second, also: [], to: nodeOf(pile.into[1]) },
      ],
    };
  };
  const root = nodeOf(sorted);
  return root.kind === 'end' ? undefined : { view, taxa: taxa(sorted), root };
}
