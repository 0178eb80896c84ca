import { besideMistake, type BesideMistake } from '@hurrow/core/station';
import { rivalsOf, type MixUp, type PracticeGround, type Question } from '@hurrow/core/practice';

/** Two trees after a slip: both drawn, in an order by lot, and what tells them apart. */
export interface AfterSlip {
  /** The tree that was asked and the one it was taken for, or might be. */
  pair: [string, string];
  found: BesideMistake;
  /** Which of the pair stands first. */
  first: 0 | 1;
}

/**
 * What is shown after a slip: the tree beside the one that was named, else beside the likeliest rival, drawn alike but for what must differ. Undefined
 * where there is none to stand beside it.
 *
 * @param lot uniform in [0, 1): which stands first
 */
export function afterSlip(
  question: Question,
  named: string | undefined,
  ground: PracticeGround,
  mixUps: readonly MixUp[],
  lot: number,
): AfterSlip | undefined {
  const { taxonId, view } = question.card;
  const ofPair = 'pair' in question ? question.pair.find((id) => id !== taxonId) : undefined;
  const inView = named && named !== taxonId ? named : undefined;
  const other = inView ?? ofPair ?? rivalsOf(question.card, ground, mixUps)[0];
  const [truth, taken] = [taxonId, other].map((id) => ground.list.find(({ taxon }) => taxon.id === id));
  if (!truth || !taken || other === undefined) return undefined;
  const traits = 'traits' in question ? question.traits : null;
  const found = besideMistake({ view, seed: traits?.seed ?? 1, traits }, truth, taken, ground);
  return { pair: [taxonId, other], found, first: lot < 0.5 ? 0 : 1 };
}
