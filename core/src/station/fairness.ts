import type { ProfiledTaxon, ReadingOptions } from '../evidence/index.ts';
import { randomFrom } from '../random/index.ts';
import type { View } from '../view/index.ts';
import type { Vocabulary } from '../vocabulary/index.ts';
import { Reader } from './reader.ts';

/** At least this share of ideal readers right is fair; below the other, unfair. */
export const FAIR_AT = 0.9;
export const STRAINED_AT = 0.75;

export interface Fairness {
  /** P(correct) of the ideal reader, 0–1. */
  right: number;
  judgement: 'fair' | 'strained' | 'unfair';
  /** Taxa that the reader cannot tell from the truth, commonest first, each with its share of the readings. */
  rivals: { taxonId: string; share: number }[];
}

/** How fair a share of ideal readers is, 0–1. */
export const judgedAt = (right: number): Fairness['judgement'] =>
  right >= FAIR_AT ? 'fair' : right >= STRAINED_AT ? 'strained' : 'unfair';

/**
 * Fairness of a station before it is set (docs/method.md, Fairness): the share of `draws` simulated readings of the taxon's scores in the
 * view by which an ideal reader names it out of the whole list; ties share. The same seed gives the same figure.
 * Throws if the taxon is not in the list.
 */
export function stationFairness(
  list: readonly ProfiledTaxon[],
  taxonId: string,
  vocabulary: Vocabulary,
  view: View,
  options: ReadingOptions & { draws?: number; seed?: number } = {},
): Fairness {
  const t = list.findIndex(({ taxon }) => taxon.id === taxonId);
  if (t < 0) throw new Error('The taxon of a station must be on the taught list');
  return fairnessOf(new Reader(list, vocabulary, view, options), t, options.draws, options.seed);
}

/** The same with a reader at hand, for many taxa of one list and view. */
export function fairnessOf(reader: Reader, t: number, draws = 4000, seed = 1): Fairness {
  const random = randomFrom(seed);
  const counts = new Map<number, number>();
  let right = 0;
  for (let i = 0; i < draws; i += 1) {
    const judged = reader.judge(t, reader.readScores(t, random));
    right += judged.right;
    for (const k of judged.rivals) counts.set(k, (counts.get(k) ?? 0) + 1);
  }
  const share = right / draws;
  return {
    right: share,
    judgement: judgedAt(share),
    rivals: [...counts]
      .map(([k, n]) => ({ taxonId: reader.readings.taxa[k]!.taxon.id, share: n / draws }))
      .sort((a, b) => b.share - a.share),
  };
}
