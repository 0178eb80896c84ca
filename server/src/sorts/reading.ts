import type { SortBody } from '@hurrow/contract/sorts';
import type { ReadLibrary } from '@hurrow/core/library';
import {
  readAsSaid,
  readingsOfSort,
  tableOf,
  tableView,
  toldOfSort,
  type SortReading,
  type ToldOfSort,
} from '@hurrow/core/sorting';

/** What a sort says of who sorted. */
export interface ReadSort {
  /** What was read off the twigs by the piles they were put on. */
  readings: SortReading[];
  /** What was said to be gone by. */
  told: ToldOfSort[];
}

/** What a sort says; nothing where twigs were sorted that are not laid out now. */
export function readSort(library: ReadLibrary, { taxa, day, piles, said, ...laid }: SortBody): ReadSort {
  const { vocabulary } = library;
  const table = tableOf(library.profilesOf(taxa), vocabulary, tableView(day), laid);
  if (piles.specimens.some((place) => !table[place])) return { readings: [], told: [] };
  return {
    readings: readingsOfSort(readAsSaid(piles, said, table, vocabulary), table),
    told: toldOfSort(piles, said, table, vocabulary),
  };
}
