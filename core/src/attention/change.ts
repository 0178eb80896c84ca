import { randomFrom, seedOf } from '../random/index.ts';
import type { Scene } from './scene.ts';

/** How many characters of a specimen a student looks at. */
const LOOKS_AT = 8;
/** Share of answers that fall anywhere. */
const ASTRAY = 0.03;
/** Deviation of what a student has for or against each name at one station. */
const WHIM = 0.7;
/** How decidedly the best match is named. */
const SHARPNESS = 5;
/** How much an ordinary character is looked at: between these, as makes the class as often right as it was. */
const ATTENTION = [0.02, 0.95] as const;
/** Readers of a scene that are simulated: for finding how much is looked at, and for counting. */
const [FEW, MANY] = [60, 300];

/** Log odds with which an ordinary character is looked at, where a student looks at eight of those that can be seen. */
export function ordinaryAttention(scenes: readonly Scene[]): number {
  const visible = scenes.reduce((sum, { looks }) => sum + looks.length, 0) / Math.max(1, scenes.length);
  const share = Math.min(0.6, LOOKS_AT / Math.max(1, visible));
  return Math.log(share / (1 - share));
}

/**
 * How many answers more would be right, for each character, if all looked at it against none: of the reader's model
 * (docs/method.md, What a reader does). The number of errors that a change of attention saves is this times the change of the share that looks.
 *
 * @param use how much each character is attended to, over an ordinary one
 * @returns answers, one entry a character; 0 for those that no scene shows
 */
export function worthOfLooking(
  scenes: readonly Scene[],
  use: readonly number[],
  seed = 1,
): { worth: Float64Array; ordinary: number } {
  const wanted = scenes.reduce((sum, { right }) => sum + right, 0);
  const attending = (ordinary: number) => Float64Array.from(use, (share) => Math.min(0.95, ordinary * share));
  let [low, high]: [number, number] = [...ATTENTION];
  const trial = scenes.map((scene, s) => new Readers(scene, FEW, seed * 7919 + s));
  for (let step = 0; step < 7; step += 1) {
    const middle = (low + high) / 2;
    const attends = attending(middle);
    const right = scenes.reduce((sum, { answers }, s) => sum + answers * trial[s]!.under(attends).right, 0);
    if (right < wanted) low = middle;
    else high = middle;
  }
  const ordinary = (low + high) / 2;
  const worth = new Float64Array(use.length);
  scenes.forEach((scene, s) => {
    if (scene.answers === 0) return;
    const { change } = new Readers(scene, MANY, seed * 104729 + s).under(attending(ordinary));
    scene.looks.forEach(({ character }, v) => (worth[character]! += scene.answers * change[v]!));
  });
  return { worth, ordinary };
}

/**
 * Simulated readers of one scene: each looks at some characters, reads each as a beginner does, and names what matches best. What a character changes is
 * taken from each reader with and without it (Rao and Blackwell), so that a few hundred tell what thousands would.
 */
class Readers {
  /** Below the attention to a character a reader looks: looks × readers. */
  private readonly lots: Float32Array;
  /** Where in its channel's matches the row of each reader's reading begins: channels × readers. */
  private readonly rows: Uint32Array;
  private readonly whims: Float32Array;

  constructor(
    private readonly scene: Scene,
    private readonly count: number,
    seed: number,
  ) {
    const { looks, options: K } = scene;
    const random = randomFrom(seedOf('readers', seed));
    // Stratified over the readers, each look's strata in an order of its own (McKay, Beckman & Conover 1979).
    this.lots = new Float32Array(looks.length * count);
    looks.forEach((_, v) => this.lots.set(stratified(count, random.uniform), v * count));
    const channels = looks.flatMap((look) =>
      look.channels.map(({ chances }) => ({ chances, carried: look.carried })),
    );
    this.rows = new Uint32Array(channels.length * count);
    channels.forEach(({ chances, carried }, c) =>
      stratified(count, random.uniform).forEach((place, j) => {
        this.rows[c * count + j] = place < carried ? K * readingAt(chances, place / carried) : NOTHING;
      }),
    );
    this.whims = Float32Array.from({ length: K * count }, () => Math.exp(WHIM * random.normal()));
  }

  /** Share of right names, and what it changes by with each look. */
  under(attends: Float64Array): { right: number; change: Float64Array } {
    const { options: K, truth, looks } = this.scene;
    const [V, M] = [looks.length, this.count];
    const pulls = looks.map(({ channels }) =>
      channels.map(({ match }) =>
        pullOf(match, (SHARPNESS * Math.min(2, channels.length)) / channels.length),
      ),
    );
    const change = new Float64Array(V);
    const own = new Float64Array(V * K);
    const all = new Float64Array(K);
    let right = 0;
    for (let j = 0; j < M; j += 1) {
      let sum = 0;
      for (let k = 0; k < K; k += 1) all[k] = this.whims[j * K + k]!;
      let channel = 0;
      for (let v = 0; v < V; v += 1) {
        const at = v * K;
        own.fill(1, at, at + K);
        for (const table of pulls[v]!) {
          const row = this.rows[channel * M + j]!;
          channel += 1;
          if (row === NOTHING) continue;
          for (let k = 0; k < K; k += 1) own[at + k]! *= table[row + k]!;
        }
        if (this.lots[v * M + j]! < attends[looks[v]!.character]!)
          for (let k = 0; k < K; k += 1) all[k]! *= own[at + k]!;
      }
      for (let k = 0; k < K; k += 1) sum += all[k]!;
      const here = all[truth]! / sum;
      right += here;
      for (let v = 0; v < V; v += 1) {
        const looked = this.lots[v * M + j]! < attends[looks[v]!.character]!;
        const at = v * K;
        let other = 0;
        for (let k = 0; k < K; k += 1) other += looked ? all[k]! / own[at + k]! : all[k]! * own[at + k]!;
        const there = (looked ? all[truth]! / own[at + truth]! : all[truth]! * own[at + truth]!) / other;
        change[v]! += looked ? here - there : there - here;
      }
    }
    return {
      right: (1 - ASTRAY) * (right / M) + ASTRAY / K,
      change: change.map((x) => ((1 - ASTRAY) * x) / M),
    };
  }
}

const pullOf = (match: Float64Array, sharpness: number): Float64Array =>
  match.map((m) => Math.exp(sharpness * m));

const NOTHING = 0xffffffff;

/** Numbers in [0, 1), one of each `1/count`, in random order. */
function stratified(count: number, uniform: () => number): Float64Array {
  const places = Float64Array.from({ length: count }, (_, i) => (i + uniform()) / count);
  for (let i = count - 1; i > 0; i -= 1) {
    const j = Math.floor(uniform() * (i + 1));
    [places[i], places[j]] = [places[j]!, places[i]!];
  }
  return places;
}

function readingAt(chances: Float64Array, place: number): number {
  let left = place;
  for (let x = 0; x < chances.length; x += 1) {
    left -= chances[x]!;
    if (left < 0) return x;
  }
  return chances.length - 1;
}
