import type { SortBody } from '@hurrow/contract/sorts';
import type { ReadLibrary } from '@hurrow/core/library';
import { readAsSaid, readingsOfSort, tableOf, tableView, type SortReading } from '@hurrow/core/sorting';

/** What was read off the twigs of a sort by the piles they were put on; nothing where twigs were sorted that are not laid out now. */
export function readingsOf(
  library: ReadLibrary,
  { taxa, day, piles, said, ...laid }: SortBody,
): SortReading[] {
  const { vocabulary } = library;
  const table = tableOf(library.profilesOf(taxa), vocabulary, tableView(day), laid);
  if (piles.specimens.some((place) => !table[place])) return [];
  return readingsOfSort(readAsSaid(piles, said, table, vocabulary), table);
}
