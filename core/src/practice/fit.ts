import { createEmptyCard, default_w, type Grade } from 'ts-fsrs';
import type { Review, Weights } from './memory.ts';
import { schedulerOf } from './memory.ts';

/** Answers of one student. */
export type History = readonly Review[];

/** Weights are fitted from so many answers on that came a day or later after the one before, of so many students. */
export const ENOUGH_TO_FIT = { answers: 300, students: 3 };
/** So many of the latest answers are looked at. */
const LOOKED_AT = 6000;
const DAY = 24 * 3600_000;

/**
 * What is fitted, as factors on the weights of the package: how long a first answer of each rating lasts (0–3), how a right answer lengthens it
 * (8, inside an exponential, hence added), and what is left after a lapse (11). The rest stays, for which a course has too few answers.
 */
const FACTORS: readonly (readonly number[])[] = [[0], [1], [2], [3], [11]];
const ADDED = 8;
/** Spread of the prior on the logarithm of each factor, and on what is added. */
const PRIOR_SD = 0.5;

export interface WeightsFit {
  weights: Weights;
  /** Answers it rests on. */
  answers: number;
  /** Mean log-loss per answer before and after. */
  loss: [number, number];
}

/**
 * The weights of the schedule for a course: those under which what its students remembered a day and more after is likeliest, drawn to the package's.
 * Undefined where there are too few answers, or nothing is gained.
 */
export function fittedWeights(histories: readonly History[]): WeightsFit | undefined {
  const cards = histories.flatMap(cardsOf).slice(-LOOKED_AT);
  const answers = cards.reduce((sum, reviews) => sum + laterAnswers(reviews), 0);
  const students = histories.filter((reviews) =>
    cardsOf(reviews).some((card) => laterAnswers(card) > 0),
  ).length;
  if (answers < ENOUGH_TO_FIT.answers || students < ENOUGH_TO_FIT.students) return undefined;
  const at = FACTORS.map(() => 0).concat(0);
  const objective = (x: readonly number[]) =>
    lossOf(cards, weightsAt(x)) + 0.5 * x.reduce((sum, each) => sum + (each / PRIOR_SD) ** 2, 0);
  let best = objective(at);
  const before = lossOf(cards, default_w) / answers;
  // A search along each weight in turn, in steps that halve: the loss is smooth, and six weights are few.
  for (let step = 0.4; step > 0.04; step /= 2)
    for (let sweep = 0; sweep < 2; sweep += 1)
      at.forEach((_, i) => {
        for (const by of [step, -step]) {
          const tried = at.map((each, j) => (j === i ? each + by : each));
          const value = objective(tried);
          if (value >= best) continue;
          best = value;
          at[i] = tried[i]!;
          break;
        }
      });
  const weights = weightsAt(at);
  const after = lossOf(cards, weights) / answers;
  return after < before ? { weights, answers, loss: [before, after] } : undefined;
}

const weightsAt = (x: readonly number[]): number[] => {
  const weights = [...default_w];
  FACTORS.forEach((places, i) => {
    for (const place of places) weights[place]! *= Math.exp(x[i]!);
  });
  weights[ADDED]! += x[FACTORS.length]!;
  return weights;
};

/** Answers by card, in order. */
function cardsOf(reviews: History): Review[][] {
  const byCard = new Map<string, Review[]>();
  for (const review of [...reviews].sort((a, b) => a.at - b.at))
    byCard.set(review.cardId, [...(byCard.get(review.cardId) ?? []), review]);
  return [...byCard.values()];
}

const laterAnswers = (reviews: readonly Review[]): number =>
  reviews.filter((review, i) => i > 0 && review.at - reviews[i - 1]!.at >= DAY).length;

/** Sum of the log-loss of what was known and not known a day and more after. */
function lossOf(cards: readonly (readonly Review[])[], weights: Weights): number {
  const scheduler = schedulerOf(weights);
  let loss = 0;
  for (const reviews of cards) {
    let card = createEmptyCard(new Date(reviews[0]!.at));
    reviews.forEach(({ at, rating }, i) => {
      const now = new Date(at);
      if (i > 0 && at - reviews[i - 1]!.at >= DAY) {
        const known = Math.min(0.999, Math.max(0.001, scheduler.get_retrievability(card, now, false)));
        loss -= Math.log(rating > 1 ? known : 1 - known);
      }
      card = scheduler.next(card, now, rating as Grade).card;
    });
  }
  return loss;
}
