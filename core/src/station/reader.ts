import {
  evidenceTaken,
  LEAVES_PRESENT,
  misreadRate,
  readingsOf,
  readingsOfSpecimen,
  spokenFor,
  takenFor,
  type Channel,
  type ProfiledTaxon,
  type ReadingOptions,
  type Readings,
} from '../evidence/index.ts';
import type { Random } from '../random/index.ts';
import type { Trait, Traits } from '../specimen/index.ts';
import type { View } from '../view/index.ts';
import type { Vocabulary } from '../vocabulary/index.ts';

/** What one reader saw: for each channel the place of the reading in its support; undefined where nothing was to be read. */
export type Reading = (number | undefined)[];

/**
 * The ideal reader of a list in a view: takes a reading of every channel, and names the taxon that no other of the list explains
 * better. Two taxa are compared on the characters known for both, near-duplicates thinned as in a contrast.
 */
export class Reader {
  /** What the scores say of all parts, whatever the day. */
  readonly readings: Readings;
  private readonly dated: Readings;
  readonly channels: Channel[];
  private readonly left: Map<string, string>;
  private readonly place: Map<Channel, number>;
  private readonly compared = new Map<number, { k: number; terms: { at: number; llr: Float64Array }[] }[]>();

  private readonly specimens = new Map<number, Readings>();
  private readonly pairs = new Map<string, ReturnType<typeof evidenceTaken>['taking']>();

  constructor(
    list: readonly ProfiledTaxon[],
    vocabulary: Vocabulary,
    view: View,
    options: ReadingOptions = {},
  ) {
    this.dated = readingsOf(list, vocabulary, view, options);
    this.readings = readingsOf(list, vocabulary, view, { ...options, lying: true });
    this.channels = [...this.readings.channels.values()].flat();
    this.left = spokenFor(this.readings);
    this.place = new Map(this.channels.map((channel, i) => [channel, i]));
  }

  /** A reading drawn from what the scores of taxon t say, seen through the noisy reader. */
  readScores(t: number, random: Random): Reading {
    const { channels } = this.ofSpecimen(t);
    return this.channels.map(({ character, rows }) => {
      const row = channels.has(character.id) ? rows[t] : undefined;
      return row && drawFrom(row, random);
    });
  }

  /** A reading of one individual: its concrete states and numbers, each misread at the reader's rate. */
  readIndividual(traits: Traits, random: Random): Reading {
    return this.channels.map((channel) => readTrait(channel, traits, this.readings, random));
  }

  /**
   * How sure it is that the reader of a taxon t names it: 1, a share among ties, or 0, with the rivals that explain the reading
   * at least as well.
   */
  judge(t: number, reading: Reading): { right: number; rivals: number[] } {
    let ties = 0;
    const rivals: number[] = [];
    for (const { k, terms } of this.against(t)) {
      let sum = 0;
      for (const { at, llr } of terms) {
        const seen = reading[at];
        if (seen !== undefined) sum += llr[seen]!;
      }
      if (sum > 1e-9) continue;
      rivals.push(k);
      if (sum > -1e-9) ties += 1;
    }
    return { right: rivals.length === ties ? 1 / (ties + 1) : 0, rivals };
  }

  /** Log-likelihood ratios of t against every other taxon, by channel and reading. */
  private against(t: number) {
    const held = this.compared.get(t);
    if (held) return held;
    const made = this.readings.taxa.flatMap((_, k) => {
      if (k === t) return [];
      const terms = this.taken(t, k).flatMap(({ channels }) =>
        channels.map((channel) => {
          const [p, q] = [channel.rows[t]!, channel.rows[k]!];
          return { at: this.place.get(channel)!, llr: p.map((x, s) => Math.log(x / q[s]!)) };
        }),
      );
      return [{ k, terms }];
    });
    this.compared.set(t, made);
    return made;
  }

  /** On what a specimen of t is told from each taxon of the list, the strongest first; nothing where it is compared with itself. */
  evidenceOf(t: number): { characterId: string; evidence: number }[][] {
    return this.readings.taxa.map((_, k) => (k === t ? [] : this.taken(t, k)));
  }

  /** What a specimen of t shows, against all others. */
  private ofSpecimen(t: number): Readings {
    const held = this.specimens.get(t) ?? readingsOfSpecimen(this.dated, this.readings, t);
    this.specimens.set(t, held);
    return held;
  }

  /** On what a specimen of a is told from b: the same from either side where both show the same. */
  private taken(a: number, b: number) {
    const seen = this.ofSpecimen(a);
    const key = `${[...seen.channels.keys()].join()} ${Math.min(a, b)} ${Math.max(a, b)}`;
    const held = this.pairs.get(key) ?? evidenceTaken(seen, this.left, a, b).taking;
    this.pairs.set(key, held);
    return held;
  }
}

function drawFrom(row: Float64Array, random: Random): number {
  let left = random.uniform();
  for (let s = 0; s < row.length; s += 1) {
    left -= row[s]!;
    if (left < 0) return s;
  }
  return row.length - 1;
}

/** What is read off one trait: the channel of 3.1 with the individual's own state in place of the taxon's frequencies. */
function readTrait(
  { character, state, grid, shown }: Channel,
  traits: Traits,
  { reader, view }: Readings,
  random: Random,
): number | undefined {
  const trait: Trait | undefined =
    character.id === LEAVES_PRESENT ? traits.leafy : traits.values[character.id];
  if (trait === undefined) return undefined;
  const m = misreadRate(character, reader);
  const own = character.states.findIndex(({ id }) => id === trait);
  if (shown && own >= 0) return drawFrom(takenFor(character, own, m, shown), random);
  const wrong = random.uniform() < m;
  if (typeof trait === 'boolean') return trait !== wrong ? 0 : 1;
  if (Array.isArray(trait)) return trait.includes(state!) !== wrong ? 0 : 1;
  if (typeof trait === 'number') {
    if (!grid) return undefined;
    if (wrong) return Math.floor(random.uniform() * grid.size);
    const seen =
      character.kind === 'count'
        ? Math.round(trait + random.normal() * Math.max(0.05 * trait, 0.15))
        : Math.log(trait) + random.normal() * (view.aids.includes('rule') ? 0.03 : 0.1);
    return Math.min(grid.size - 1, Math.max(0, Math.round((seen - grid.from) / grid.step)));
  }
  return undefined;
}
