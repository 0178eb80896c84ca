import { channelOf, shareMeeting, type Condition } from '../condition/index.ts';
import {
  lookingCost,
  readingsOf,
  type ProfiledTaxon,
  type ReadingOptions,
  type Readings,
} from '../evidence/index.ts';
import type { View } from '../view/index.ts';
import type { Vocabulary } from '../vocabulary/index.ts';

/** Prior chance that any one answer is a slip of the whole hand: the wrong organ, the wrong twig. */
const SLIP = 0.05;

export interface Identification {
  /** Every taxon of the list with its posterior probability, likeliest first. */
  ranked: { taxonId: string; probability: number; against: number }[];
  /** Characters not answered yet that would tell most for what they cost, best first, with the bits they are worth. */
  next: { characterId: string; bits: number }[];
}

/** Answers any characters in any order: a multi-access key with what each answer says of every taxon of the list. */
export class MultiAccess {
  readonly readings: Readings;
  private readonly priors: number[];

  constructor(
    list: readonly ProfiledTaxon[],
    vocabulary: Vocabulary,
    view: View,
    options: ReadingOptions & { priors?: Readonly<Record<string, number>> } = {},
  ) {
    this.readings = readingsOf(list, vocabulary, view, { reader: 'novice', ...options });
    this.priors = list.map(({ taxon }) => options.priors?.[taxon.id] ?? 1);
  }

  /**
   * The posterior over the list after some answers. A taxon that is not scored for a character takes the list's mean probability of
   * the answer. With `tolerant` one answer may be a plain slip: it then costs a taxon little to disagree once.
   */
  identify(answers: readonly Condition[], tolerant = true): Identification {
    const factors = answers.map((answer) => this.likelihoods(answer));
    const weights = this.priors.map((prior, t) => {
      const each = factors.map((likelihood) => likelihood[t]!);
      const all = each.reduce((product, p) => product * p, 1);
      if (!tolerant || each.length === 0) return prior * all;
      const slipped = each.reduce((sum, _, j) => {
        const others = each.reduce((product, p, k) => (k === j ? product : product * p), 1);
        return sum + others * meanOf(factors[j]!);
      }, 0);
      return prior * ((1 - SLIP) * all + (SLIP * slipped) / each.length);
    });
    const posterior = normalised(weights);
    return {
      ranked: this.readings.taxa
        .map(({ taxon }, t) => ({
          taxonId: taxon.id,
          probability: posterior[t]!,
          against: factors.filter((likelihood) => likelihood[t]! < 0.1).length,
        }))
        .sort((a, b) => b.probability - a.probability),
      next: this.next(answers, posterior),
    };
  }

  /** P(answer | taxon) for every taxon of the list; the list's mean where a taxon is not scored. */
  private likelihoods(answer: Condition): number[] {
    const shares = this.readings.taxa.map((_, t) => shareMeeting(this.readings, t, answer));
    const known = shares.filter((share): share is number => share !== undefined);
    const mean = known.length ? meanOf(known) : 1;
    return shares.map((share) => Math.max(1e-6, share ?? mean));
  }

  /** Expected fall of the entropy of the posterior, in bits, for each character not answered yet, over its cost. */
  private next(answers: readonly Condition[], posterior: readonly number[]): Identification['next'] {
    const answered = new Set(answers.map(({ characterId }) => characterId));
    const found: { characterId: string; bits: number; worth: number }[] = [];
    for (const [characterId, channels] of this.readings.channels) {
      if (answered.has(characterId)) continue;
      const bits = Math.max(...channels.map((channel) => this.gain(channel.rows, posterior)));
      if (bits > 0.01) found.push({ characterId, bits, worth: bits / lookingCost(channels[0]!.character) });
    }
    return found.sort((a, b) => b.worth - a.worth).map(({ characterId, bits }) => ({ characterId, bits }));
  }

  private gain(rows: readonly (Float64Array | undefined)[], posterior: readonly number[]): number {
    const size = rows.find((row) => row)?.length ?? 0;
    const mean = new Float64Array(size);
    let known = 0;
    rows.forEach((row, t) => {
      if (!row) return;
      known += posterior[t]!;
      row.forEach((p, s) => (mean[s]! += posterior[t]! * p));
    });
    // What is known of part of the list can tell of that part only.
    let bits = 0;
    rows.forEach((row, t) => {
      if (!row || known === 0) return;
      row.forEach((p, s) => {
        if (p > 0) bits += posterior[t]! * p * Math.log2((p * known) / mean[s]!);
      });
    });
    return bits;
  }

  /** Whether the view shows a character at all. */
  shows(condition: Condition): boolean {
    return channelOf(this.readings, condition) !== undefined;
  }
}

const meanOf = (values: readonly number[]) => values.reduce((sum, x) => sum + x, 0) / values.length;

function normalised(weights: readonly number[]): number[] {
  const total = weights.reduce((sum, w) => sum + w, 0);
  return weights.map((w) => (total > 0 ? w / total : 1 / weights.length));
}
