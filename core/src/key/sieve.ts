import type { Arriving } from './arriving.ts';
import type { Question } from './questions.ts';

interface Terms {
  /** Share of the weight that may be unscored for a question. */
  unscored: number;
  /** Bits that it must win. */
  worth: number;
  /** Questions that one bit costs. */
  aBit: number;
  /** Questions that a wrong turn costs. */
  wrongTurn: number;
  /** Questions that it costs if every taxon came out on both leads. */
  twice: number;
  /** How many of the best to give. */
  keep: number;
}

interface Left {
  bits: number;
  slips: number;
  both: number;
}

/** Ranks questions for the taxa at one node by what they leave to be found out. */
export class Sieve {
  private readonly taxa: Int32Array;
  private readonly weights: Float64Array;
  private readonly total: number;

  constructor({ taxa, weights }: Arriving) {
    this.taxa = taxa;
    this.weights = weights;
    this.total = weights.reduce((sum, w) => sum + w, 0);
  }

  /** Uncertainty among the taxa that arrive: Shannon's entropy in bits. */
  bits(): number {
    let sum = 0;
    for (const w of this.weights) if (w > 0) sum -= (w / this.total) * Math.log2(w / this.total);
    return sum;
  }

  /**
   * The best questions first, each with its expected cost to go. The uncertainty that a question leaves is measured by Rényi's
   * entropy of order 2, `−log₂ Σp²`: it needs no logarithm a taxon, and orders questions much as Shannon's does.
   */
  rank(questions: readonly Question[], terms: Terms): { question: Question; value: number }[] {
    const best: { question: Question; value: number }[] = [];
    const before = this.collision();
    for (const question of questions) {
      const value = this.value(question, before, terms);
      if (value === undefined) continue;
      if (best.length === terms.keep && value >= best[best.length - 1]!.value) continue;
      const at = best.findIndex((each) => value < each.value);
      best.splice(at < 0 ? best.length : at, 0, { question, value });
      if (best.length > terms.keep) best.pop();
    }
    return best;
  }

  private collision(): number {
    let squares = 0;
    for (const w of this.weights) squares += w * w;
    return -Math.log2(squares / (this.total * this.total));
  }

  private value(question: Question, before: number, terms: Terms): number | undefined {
    const left =
      question.leads.length === 2 ? this.leftByTwo(question, terms) : this.leftByMany(question, terms);
    if (!left || before - left.bits < terms.worth) return undefined;
    return (
      question.cost +
      (terms.wrongTurn * left.slips + terms.twice * left.both) / this.total +
      terms.aBit * left.bits
    );
  }

  /**
   * The uncertainty left, in bits, the weight that slips, and that of taxa that come out on both leads; undefined where too much is
   * unscored. One pass: this is the hot loop.
   */
  private leftByTwo({ shares, slip }: Question, terms: Terms): Left | undefined {
    const { taxa, weights, total } = this;
    const first = shares[0]!;
    const most = terms.unscored * total;
    let [unknown, slips, both, sum, squares, otherSquares] = [0, 0, 0, 0, 0, 0];
    for (let i = 0; i < taxa.length; i += 1) {
      const t = taxa[i]!;
      const w = weights[i]!;
      let share = first[t]!;
      if (share !== share) {
        unknown += w;
        if (unknown > most) return undefined;
        share = 0.5;
        both += w;
      } else {
        slips += w * slip[t]!;
        if (share > 0 && share < 1) both += w;
      }
      const one = w * share;
      const other = w - one;
      sum += one;
      squares += one * one;
      otherSquares += other * other;
    }
    const rest = total - sum;
    const bits = part(sum, squares, total) + part(rest, otherSquares, total);
    return { bits, slips, both };
  }

  private leftByMany({ shares, slip }: Question, terms: Terms): Left | undefined {
    const { taxa, weights, total } = this;
    let [unknown, slips, bits] = [0, 0, 0];
    shares.forEach((share, b) => {
      let [sum, squares] = [0, 0];
      for (let i = 0; i < taxa.length; i += 1) {
        const known = share[taxa[i]!]!;
        const scored = known === known;
        if (b === 0) {
          if (scored) slips += weights[i]! * slip[taxa[i]!]!;
          else unknown += weights[i]!;
        }
        const w = weights[i]! * (scored ? known : 1 / shares.length);
        sum += w;
        squares += w * w;
      }
      bits += part(sum, squares, total);
    });
    let both = 0;
    for (let i = 0; i < taxa.length; i += 1)
      if (!shares.some((share) => share[taxa[i]!] === 1)) both += weights[i]!;
    return unknown > terms.unscored * total ? undefined : { bits, slips, both };
  }
}

/** What one lead leaves: its share of the weight times the entropy of order 2 among its taxa. */
const part = (sum: number, squares: number, total: number): number =>
  sum > 1e-12 ? -(sum / total) * Math.log2(squares / (sum * sum)) : 0;
