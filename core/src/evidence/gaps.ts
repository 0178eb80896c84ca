import type { Character, Vocabulary } from '../vocabulary/index.ts';
import type { View } from '../view/index.ts';
import { spokenFor } from './bhattacharyya.ts';
import { evidenceTaken } from './contrast.ts';
import { idealReaderError, SETTLED_AT } from './error.ts';
import { readingsOf, type Channel, type ProfiledTaxon, type ReadingOptions } from './readings.ts';

/** A character that some taxa of a list lack, and what scoring it could be worth. */
export interface Gap {
  character: Character;
  /** Ids of the taxa that lack it though it applies to them and can be seen. */
  taxa: string[];
  /** Pairs, by id, that are not settled now and would be if the two turned out to differ in it. */
  wouldSettle: [string, string][];
}

/**
 * The gaps of a list in a view, those first that could settle most pairs. Whether two taxa differ in a character is unknown
 * until it is scored: what is counted is the best case, a clear difference read by a careful reader.
 */
export function gapsOf(
  list: readonly ProfiledTaxon[],
  vocabulary: Vocabulary,
  view: View,
  options: ReadingOptions = {},
): Gap[] {
  const readings = readingsOf(list, vocabulary, view, options);
  const left = spokenFor(readings);
  const gaps = new Map<string, Gap>();
  for (const [i, ids] of readings.gaps.entries())
    for (const id of ids) {
      const gap = gaps.get(id) ?? { character: vocabulary.get(id)!, taxa: [], wouldSettle: [] };
      gap.taxa.push(list[i]!.taxon.id);
      gaps.set(id, gap);
    }
  for (let a = 0; a < list.length; a += 1)
    for (let b = a + 1; b < list.length; b += 1) {
      const lacking = [...gaps.values()].filter(({ character }) =>
        [a, b].some((i) => readings.gaps[i]!.includes(character.id)),
      );
      if (lacking.length === 0) continue;
      const known = evidenceTaken(readings, left, a, b).taking.flatMap((entry) => entry.channels);
      if (idealReaderError(known, a, b) <= SETTLED_AT) continue;
      for (const gap of lacking)
        if (idealReaderError([...known, clearDifference(gap.character, a, b)], a, b) <= SETTLED_AT)
          gap.wouldSettle.push([list[a]!.taxon.id, list[b]!.taxon.id]);
    }
  return [...gaps.values()].sort(
    (x, y) => y.wouldSettle.length - x.wouldSettle.length || y.taxa.length - x.taxa.length,
  );
}

/** A channel in which a and b never share a state, read as wrongly as a careful reader reads this character. */
function clearDifference(character: Character, a: number, b: number): Channel {
  const wrong = character.misread.careful;
  const rows: Channel['rows'] = [];
  rows[a] = Float64Array.of(1 - wrong, wrong);
  rows[b] = Float64Array.of(wrong, 1 - wrong);
  return { character, rows, roots: rows.map((row) => row?.map(Math.sqrt)) };
}
