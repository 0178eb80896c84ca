import type { Related } from './plausible.ts';
import { qualifierKey, type Score } from './score.ts';

/**
 * What a group of taxa shows for each measure and count, from the smallest figure to the greatest, in stored units; nothing of what fewer than
 * two of them are scored for. Scores that hold only for some parts or ages are left out.
 *
 * @param taxa the scores of each taxon of the group, whichever source says them
 * @example
 * relatives([[score('leaf.length', 0.04, 0.09)], [score('leaf.length', 0.06, 0.12)]])('leaf.length'); // [0.04, 0.12]
 */
export function relatives(taxa: readonly (readonly Score[])[]): (characterId: string) => Related | undefined {
  const spans = new Map<string, [number, number]>();
  const scored = new Map<string, Set<number>>();
  const scores = taxa.flatMap((own, taxon) => own.map((score) => ({ ...score, taxon })));
  for (const { characterId, qualifiers, value, taxon } of scores) {
    if (value.kind !== 'range' || qualifierKey(qualifiers) !== '') continue;
    const ends = [value.min, value.low, value.typical, value.high, value.max].filter((n) => n !== undefined);
    scored.set(characterId, (scored.get(characterId) ?? new Set()).add(taxon));
    const [least, most] = spans.get(characterId) ?? [Infinity, -Infinity];
    spans.set(characterId, [Math.min(least, ...ends), Math.max(most, ...ends)]);
  }
  return (characterId) => ((scored.get(characterId)?.size ?? 0) < 2 ? undefined : spans.get(characterId));
}
