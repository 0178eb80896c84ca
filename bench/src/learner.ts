import type { PracticeCard } from '@hurrow/core/practice';
import { randomFrom, type Random } from '@hurrow/core/random';

/** The simulated learner of `bench/learner.md`. */
const DECAY = { least: 0.177, scale: 0.217 };
const RECALL = { threshold: -1.9, noise: 0.26, own: 0.25 };
const OUTSIDE = 1 / 40;
const DAY = 24 * 3600;
const GROWS = { mistake: 0.35, beside: 0.25, near: 0.08, right: 0.03 };
const FADES = 0.12;
const NEAR = 3;

export class Learner {
  private readonly random: Random;
  private readonly threshold: number;
  private readonly traces = new Map<string, { at: number; decay: number }[]>();
  private readonly marks = new Map<string, { strength: number; day: number }>();
  private readonly blind = new Map<string, number>();
  private readonly lately: PracticeCard[] = [];
  /** Seconds, days between sessions at a fortieth. */
  private now = 0;
  private day = 0;

  constructor(seed: number) {
    this.random = randomFrom(seed);
    this.threshold = RECALL.threshold + RECALL.own * this.random.normal();
  }

  /** Lets days go by. */
  wait(days: number): void {
    this.now += days * DAY * OUTSIDE;
    this.day += days;
    this.lately.length = 0;
  }

  /** Chance of taking a card for each rival, and of naming its tree. */
  chances({ id, taxonId, taken: rivals }: PracticeCard): { rivals: number[]; right: number } {
    const recalled = this.recall(id);
    const shares = rivals.map(({ taxonId: rival, share }) =>
      Math.min(0.8, share * this.blindness(taxonId, rival)),
    );
    const sum = shares.reduce((total, share) => total + share, 0);
    const byLooks = rivals.map(
      (rival, i) => (shares[i]! / Math.max(1, sum)) * Math.exp(-this.strength(taxonId, rival.taxonId)),
    );
    // Who does not recall the name guesses among what it looks like.
    const guessed = rivals.map((_, i) => (0.6 * shares[i]!) / Math.max(0.3, sum));
    const mixed = rivals.map((_, i) => recalled * byLooks[i]! + (1 - recalled) * guessed[i]!);
    return { rivals: mixed, right: recalled * (1 - byLooks.reduce((total, share) => total + share, 0)) };
  }

  /** Answers a card and learns from what it is shown then. Returns whether it was right, and what it was taken for. */
  answer(card: PracticeCard, seconds: { right: number; wrong: number }) {
    const { rivals, right } = this.chances(card);
    const drawn = this.random.weighted([
      right,
      ...rivals,
      Math.max(0, 1 - right - rivals.reduce((a, b) => a + b, 0)),
    ]);
    const isRight = drawn === 0;
    const taken = drawn > 0 && drawn <= rivals.length ? card.taken[drawn - 1]!.taxonId : undefined;
    const took = isRight ? seconds.right : seconds.wrong;
    this.now += took;
    if (taken) this.grow(card.taxonId, taken, GROWS.mistake);
    this.lately.slice(-1 - NEAR).forEach((earlier, i, all) => {
      if (earlier.kind !== card.kind || earlier.taxonId === card.taxonId) return;
      this.grow(card.taxonId, earlier.taxonId, i === all.length - 1 ? GROWS.beside : GROWS.near);
    });
    if (isRight) for (const { taxonId } of card.taken) this.grow(card.taxonId, taxonId, GROWS.right);
    this.lay(card.id);
    this.lately.push(card);
    return { isRight, taken, took };
  }

  private recall(id: string): number {
    const activation = this.activation(id);
    return activation === -Infinity ? 0 : 1 / (1 + Math.exp((this.threshold - activation) / RECALL.noise));
  }

  private activation(id: string): number {
    const traces = this.traces.get(id) ?? [];
    let sum = 0;
    for (const { at, decay } of traces) sum += Math.max(1, this.now - at) ** -decay;
    return sum === 0 ? -Infinity : Math.log(sum);
  }

  private lay(id: string): void {
    const activation = this.activation(id);
    const decay = DECAY.least + DECAY.scale * (activation === -Infinity ? 0 : Math.exp(activation));
    this.traces.set(id, [...(this.traces.get(id) ?? []), { at: this.now, decay }]);
  }

  private strength(a: string, b: string): number {
    const held = this.marks.get(pairOf(a, b));
    return held ? held.strength * (1 + this.day - held.day) ** -FADES : 0;
  }

  private grow(a: string, b: string, by: number): void {
    this.marks.set(pairOf(a, b), { strength: this.strength(a, b) + by, day: this.day });
  }

  private blindness(a: string, b: string): number {
    const key = pairOf(a, b);
    const held = this.blind.get(key) ?? (this.random.uniform() < 0.25 ? 2 : 1);
    this.blind.set(key, held);
    return held;
  }
}

const pairOf = (a: string, b: string): string => (a < b ? `${a} ${b}` : `${b} ${a}`);
