import type { Character, Vocabulary } from '../vocabulary/index.ts';
import type { View } from '../view/index.ts';
import { spokenFor } from './bhattacharyya.ts';
import { evidenceTaken } from './contrast.ts';
import { idealReaderError, quickVerdict, SETTLED_AT } from './error.ts';
import type { ProfiledTaxon, ReadingOptions } from './profiled.ts';
import { lacking, readingsOfTrees, type Channel } from './readings.ts';

/** A character that some taxa of a list lack, and what scoring it could be worth. */
export interface Gap {
  character: Character;
  /** Ids of the taxa that lack it though it applies to them and can be seen. */
  taxa: string[];
  /** Pairs, by id, not settled now, of which one taxon is scored for it: settled if the other turned out to differ. */
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
  const readings = readingsOfTrees(list, vocabulary, view, options);
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
      const oneSided = [...gaps.values()].filter(({ character }) => lacking(readings, character.id, a, b));
      if (oneSided.length === 0) continue;
      const { taking } = evidenceTaken(readings, left, a, b);
      // Most pairs of a list are settled beyond doubt; their error need not be worked out.
      if (quickVerdict(taking, a, b) === 'settled') continue;
      const known = taking.flatMap((entry) => entry.channels);
      for (const gap of oneSided)
        if (idealReaderError([...known, clearDifference(gap.character, a, b)], a, b) <= SETTLED_AT)
          gap.wouldSettle.push([list[a]!.taxon.id, list[b]!.taxon.id]);
    }
  return [...gaps.values()].sort(
    (x, y) => y.wouldSettle.length - x.wouldSettle.length || x.taxa.length - y.taxa.length,
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
