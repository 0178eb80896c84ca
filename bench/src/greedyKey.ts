import {
  follow,
  groundOf,
  questionsHere,
  type Arriving,
  type Key,
  type KeyNode,
  type Question,
  everyone,
  type Ground,
} from '@hurrow/core/key';
import type { ProfiledTaxon } from '@hurrow/core/evidence';
import type { View } from '@hurrow/core/view';
import type { Vocabulary } from '@hurrow/core/vocabulary';

/**
 * The plain rival of the key builder: at each node the question that wins most bits, whatever it costs to look or how often it is
 * misread, without a look ahead and without confirming characters.
 */
export function greedyKey(
  list: readonly ProfiledTaxon[],
  vocabulary: Vocabulary,
  view: View,
  level: 'intermediate' | 'advanced',
): Key {
  const ground = groundOf(list, vocabulary, view, { level, reader: 'novice' });
  return { view, taxa: list.map(({ taxon }) => taxon.id), root: below(ground, everyone(ground)) };
}

function below(ground: Ground, arriving: Arriving): KeyNode {
  const share = sum(arriving.weights);
  let best: { question: Question; won: number } | undefined;
  for (const question of questionsHere(ground, arriving)) {
    if (arriving.taxa.some((t) => Number.isNaN(question.shares[0]![t]!))) continue;
    const won =
      entropy(arriving) -
      question.leads.reduce((left, _, b) => {
        const child = follow(ground, arriving, question, b);
        return left + (sum(child.weights) / share) * entropy(child);
      }, 0);
    if (won > 0.15 && (!best || won > best.won + 1e-12)) best = { question, won };
  }
  if (arriving.taxa.length < 2 || !best)
    return { kind: 'end', taxa: [...arriving.taxa].map((t) => ground.list[t]!.taxon.id), share };
  const { question } = best;
  return {
    kind: 'couplet',
    share,
    leads: question.leads.map((condition, b) => ({
      condition,
      also: [],
      to: below(ground, follow(ground, arriving, question, b)),
    })),
  };
}

const sum = (values: Float64Array) => values.reduce((total, w) => total + w, 0);

function entropy({ weights }: Arriving): number {
  const total = sum(weights);
  return weights.reduce((bits, w) => (w > 0 ? bits - (w / total) * Math.log2(w / total) : bits), 0);
}
