import { createEmptyCard, fsrs, generatorParameters, type Card, type FSRS, type Grade } from 'ts-fsrs';

/** How an answer went: 1 wrong, 2 right with help or slowly, 3 right, 4 right at once. */
export type Rating = 1 | 2 | 3 | 4;

/** One answer to a practice card. */
export interface Review {
  cardId: string;
  /** Milliseconds since 1970. */
  at: number;
  rating: Rating;
}

/** The chance of knowing a card at which it is due again. */
export const DUE_AT = 0.9;
/** A card is known when it lasts so many days at least. */
const KNOWN_FOR = 7;
const DAY = 24 * 3600_000;

/** The weights of the schedule: those of the package where none were fitted. */
export type Weights = readonly number[];

export const schedulerOf = (weights?: Weights): FSRS =>
  fsrs(
    generatorParameters({
      ...(weights ? { w: [...weights] } : {}),
      request_retention: DUE_AT,
      enable_fuzz: false,
      maximum_interval: 365,
    }),
  );

/**
 * What one student remembers of each card, by FSRS (`ts-fsrs`; J. Ye et al. 2022, KDD: 4381–4390): told every answer in the order in which it was given.
 *
 * @example
 * const memory = new Memory();
 * memory.learn({ cardId: 'abies-grandis leaf', at: 0, rating: 3 });
 * memory.recall('abies-grandis leaf', 24 * 3600_000); // about 0.95
 */
export class Memory {
  private readonly scheduler: FSRS;
  private readonly cards = new Map<string, Card>();

  constructor(reviews: readonly Review[] = [], weights?: Weights) {
    this.scheduler = schedulerOf(weights);
    for (const review of [...reviews].sort((a, b) => a.at - b.at)) this.learn(review);
  }

  learn({ cardId, at, rating }: Review): void {
    const held = this.cards.get(cardId);
    // A phone whose clock was put back does not forget into the past.
    const now = new Date(Math.max(at, held?.last_review?.getTime() ?? at));
    this.cards.set(cardId, this.scheduler.next(held ?? createEmptyCard(now), now, rating as Grade).card);
  }

  /** Was it ever asked? */
  isSeen(cardId: string): boolean {
    return this.cards.has(cardId);
  }

  /** Chance of knowing it now, 0–1; undefined where it was never asked. */
  recall(cardId: string, at: number): number | undefined {
    const held = this.cards.get(cardId);
    if (!held) return undefined;
    const last = held.last_review?.getTime() ?? at;
    return this.scheduler.get_retrievability(held, new Date(Math.max(at, last)), false);
  }

  /** Days until its chance of being known has fallen to nine in ten; 0 where it was never asked. */
  lasts(cardId: string): number {
    return this.cards.get(cardId)?.stability ?? 0;
  }

  isDue(cardId: string, at: number): boolean {
    const recall = this.recall(cardId, at);
    return recall !== undefined && (recall < DUE_AT || this.lasts(cardId) < 1);
  }

  /** Known: it will be for a week, and is now. */
  isKnown(cardId: string, at: number): boolean {
    return this.lasts(cardId) >= KNOWN_FOR && (this.recall(cardId, at) ?? 0) >= DUE_AT;
  }

  /** When the next card is due, in milliseconds since 1970; undefined where none was asked. */
  nextDue(): number | undefined {
    const all = [...this.cards.values()].map(
      ({ last_review, stability }) => (last_review?.getTime() ?? 0) + stability * DAY,
    );
    return all.length ? Math.min(...all) : undefined;
  }
}
