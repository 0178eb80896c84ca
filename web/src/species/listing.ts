import { plural, t } from '@lingui/core/macro';
import type { ProfiledTaxon } from '@hurrow/core/evidence';
import { commonName } from '@hurrow/core/taxon';
import type { Character } from '@hurrow/core/vocabulary';

/** The order of a list: as it is taught, by common name, by scientific name. */
export type Order = 'set' | 'name' | 'latin';

/** “42 taxa”, or “7 of 42”. */
export const countOf = (shown: number, all: number) =>
  shown === all ? plural(all, { one: '1 taxon', other: '# taxa' }) : t`${shown} of ${all}`;

/** The taxa in an order; those that are not taught come behind those that are. */
export function ordered(profiles: readonly ProfiledTaxon[], order: Order, taught: readonly string[]) {
  const places = new Map(taught.map((id, i) => [id, i]));
  const place = (id: string) => places.get(id) ?? taught.length;
  const byLatin = (a: ProfiledTaxon, b: ProfiledTaxon) =>
    `${a.taxon.genus} ${a.taxon.epithet}`.localeCompare(`${b.taxon.genus} ${b.taxon.epithet}`);
  return [...profiles].sort((a, b) => {
    if (order === 'name') return commonName(a.taxon).localeCompare(commonName(b.taxon));
    if (order === 'latin') return byLatin(a, b);
    return place(a.taxon.id) - place(b.taxon.id) || byLatin(a, b);
  });
}

export interface StateFilter {
  characterId: string;
  state: string;
}

/** Does a taxon show a state, however rarely? */
export function shows({ scores }: ProfiledTaxon, { characterId, state }: StateFilter): boolean {
  return scores.some(({ characterId: id, value }) => {
    if (id !== characterId) return false;
    if (value.kind === 'states')
      return value.states.some((entry) => entry.state === state && entry.frequency !== 'never');
    return value.kind === 'flag' && (value.frequency !== 'never') === (state === 'yes');
  });
}

/** The states by which a list can be filtered. */
export const statesOf = (character: Character): string[] =>
  character.kind === 'flag' ? ['yes', 'no'] : character.states.map((state) => state.id);

/**
 * How far a list is to be scrolled so that a row is in sight: as it is, where it is already, else just far enough.
 *
 * @param top where the row begins, and its height, in pixels
 * @example
 * inSight(470, 47, { scrollTop: 0, clientHeight: 300 }); // 217
 */
export function inSight(
  top: number,
  height: number,
  { scrollTop, clientHeight }: { scrollTop: number; clientHeight: number },
): number {
  if (top < scrollTop) return top;
  return Math.max(scrollTop, top + height - clientHeight);
}
