import type { KeptTree } from '@hurrow/contract/grounds';
import { newTree, type LatLon } from '@hurrow/core/grounds';

/** What the address of the trees asks for: a tree that is looked at, changed, moved, or new. */
export interface TreeAsked {
  tree: KeptTree | undefined;
  editing: boolean;
}

/**
 * Reads the address: `tree` is one that is there, with `edit` it is changed; `new` is the id of one that is not there yet; `at` is where it is
 * to stand, in degrees.
 *
 * @example
 * treeAsked(new URLSearchParams('tree=t1&edit=&at=47.6,-116.4'), trees); // { tree: { …t1, latitude: 47.6, longitude: -116.4 }, editing: true }
 */
export function treeAsked(search: URLSearchParams, trees: readonly KeptTree[]): TreeAsked {
  const at = placeOf(search.get('at'));
  const fresh = search.get('new');
  const there = trees.find(({ id }) => id === (fresh ?? search.get('tree')));
  // A new tree that has been kept is there: what the address still says of it is over.
  if (there) return { tree: { ...there, ...at }, editing: search.has('edit') };
  if (!fresh || !at) return { tree: undefined, editing: false };
  return { tree: { ...newTree('', at.latitude, at.longitude), id: fresh, version: 0 }, editing: true };
}

/** What the address says to have a tree stand elsewhere, or a new one begin there. */
export const askingFor = (
  { id, version }: Pick<KeptTree, 'id' | 'version'>,
  { latitude, longitude }: LatLon,
): Record<string, string> => ({
  ...(version > 0 ? { tree: id, edit: '' } : { new: id }),
  at: `${latitude.toFixed(7)},${longitude.toFixed(7)}`,
});

function placeOf(text: string | null): LatLon | undefined {
  const [latitude, longitude] = (text ?? '').split(',').map(Number);
  const isPlace =
    latitude !== undefined &&
    longitude !== undefined &&
    Math.abs(latitude) <= 90 &&
    Math.abs(longitude) <= 180;
  return text && isPlace ? { latitude, longitude } : undefined;
}
