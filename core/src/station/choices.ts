import {
  evidenceTaken,
  pairError,
  readingsOf,
  spokenFor,
  type ProfiledTaxon,
  type ReadingOptions,
} from '../evidence/index.ts';
import { randomFrom, seedOf } from '../random/index.ts';
import type { View } from '../view/index.ts';
import type { Vocabulary } from '../vocabulary/index.ts';

/** Names to choose from at a station, the right one among them. */
export const CHOICES = 4;

/**
 * The names to choose from at a station: its tree and those of the list that are least unlike it in what is shown, in an order by lot. So a choice
 * asks what a free answer asks: to tell it from its lookalikes.
 *
 * @param list of which the station's tree is one
 * @returns ids of four taxa, fewer where the list is shorter; the same seed gives the same order
 */
export function choicesOf(
  truth: string,
  list: readonly ProfiledTaxon[],
  vocabulary: Vocabulary,
  view: View,
  { seed, ...options }: ReadingOptions & { seed: number },
): string[] {
  const at = list.findIndex(({ taxon }) => taxon.id === truth);
  if (at < 0) throw new Error('The taxon of a station must be on the taught list');
  const readings = readingsOf(list, vocabulary, view, options);
  const left = spokenFor(readings);
  const rivals = list
    .map(({ taxon }, other) => ({
      id: taxon.id,
      error: other === at ? -1 : pairError(evidenceTaken(readings, left, at, other).taking, at, other),
    }))
    .filter(({ error }) => error >= 0)
    .sort((a, b) => b.error - a.error)
    .slice(0, CHOICES - 1)
    .map(({ id }) => id);
  const random = randomFrom(seedOf(seed, 'choices'));
  return [truth, ...rivals]
    .map((id) => ({ id, lot: random.uniform() }))
    .sort((a, b) => a.lot - b.lot)
    .map(({ id }) => id);
}
