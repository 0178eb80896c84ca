import type { Related } from './plausible.ts';
import { qualifierKey, type Score } from './score.ts';

/**
 * What a group of taxa shows for each measure and count, from the smallest figure to the greatest, in stored units. Scores that hold only for
 * some parts or ages are left out.
 *
 * @param scores of all taxa of the group, whichever source says them
 * @example
 * relatives([score('leaf.length', 0.04, 0.09), score('leaf.length', 0.06, 0.12)])('leaf.length'); // [0.04, 0.12]
 */
export function relatives(scores: readonly Score[]): (characterId: string) => Related | undefined {
  const spans = new Map<string, [number, number]>();
  for (const { characterId, qualifiers, value } of scores) {
    if (value.kind !== 'range' || qualifierKey(qualifiers) !== '') continue;
    const ends = [value.min, value.low, value.typical, value.high, value.max].filter((n) => n !== undefined);
    const [least, most] = spans.get(characterId) ?? [Infinity, -Infinity];
    spans.set(characterId, [Math.min(least, ...ends), Math.max(most, ...ends)]);
  }
  return (characterId) => spans.get(characterId);
}
