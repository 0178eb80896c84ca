import { randomFrom } from '../random/index.ts';

/** A station as its neighbours matter: which others it must not stand near, how like it is to each, and what it shows. */
export interface ToOrder {
  /** Numbers of stations that may not stand within two places of it: who looks at one gets the other. */
  apart: readonly number[];
  /** What it shows, in short: no three of one in a row. */
  shows: string;
}

export interface Ordered {
  /** Numbers of the stations in their order. */
  order: number[];
  /** Pairs that stand within two places of each other though they should not. */
  tooNear: [number, number][];
  /** No order keeps them all apart: proved, not only not found. */
  proved: boolean;
}

/** Hard pairs are at least this many places apart. */
const APART = 3;
/** So many steps are searched before a start by chance is tried. */
const STEPS = 60_000;
const RESTARTS = 6;
const SWAPS = 4_000;

/**
 * An order in which no two stations that give each other away stand within two places, and no three in a row show the same part. Students go in a
 * circle: the last stands before the first.
 *
 * @param seed the same gives the same order
 * @example
 * orderOf([{ apart: [1], shows: 'leaf' }, { apart: [0], shows: 'leaf' }]).tooNear; // [[0, 1]]
 */
export function orderOf(stations: readonly ToOrder[], seed = 1): Ordered {
  const random = randomFrom(seed);
  const apart = stations.map(({ apart: others }) => new Set(others));
  const nearness = (order: readonly number[]) => pairsTooNear(order, apart);
  const n = stations.length;
  let best = stations.map((_, i) => i);
  const search = new Search(apart);
  let proved = false;
  for (let tries = 0; tries < RESTARTS; tries += 1) {
    const first = stations.map((_, i) => ({ i, at: apart[i]!.size + random.uniform() }));
    const found = search.from(first.sort((x, y) => y.at - x.at).map(({ i }) => i));
    if (found === 'none') {
      proved = true;
      break;
    }
    if (found) {
      best = found;
      break;
    }
  }
  // What cannot be kept apart wholly is at least kept apart as far as it goes.
  let cost = nearness(best).length * 100 + alike(best, stations);
  for (let i = 0; i < SWAPS && cost > 0 && n > 2; i += 1) {
    const [a, b] = [Math.floor(random.uniform() * n), Math.floor(random.uniform() * n)];
    const next = [...best];
    [next[a], next[b]] = [next[b]!, next[a]!];
    const now = nearness(next).length * 100 + alike(next, stations);
    if (now > cost) continue;
    best = next;
    cost = now;
  }
  const tooNear = nearness(best);
  return { order: best, tooNear, proved: proved && tooNear.length > 0 };
}

/** Pairs that stand nearer than they may, round the circle. */
export function pairsTooNear(
  order: readonly number[],
  apart: readonly ReadonlySet<number>[],
): [number, number][] {
  const n = order.length;
  const found = new Map<string, [number, number]>();
  for (let i = 0; i < n; i += 1)
    for (let d = 1; d < APART; d += 1) {
      const [a, b] = [order[i]!, order[(i + d) % n]!];
      if (a !== b && apart[a]!.has(b))
        found.set([a, b].sort((x, y) => x - y).join(), a < b ? [a, b] : [b, a]);
    }
  return [...found.values()];
}

/** How many places begin a row of three that show the same. */
function alike(order: readonly number[], stations: readonly ToOrder[]): number {
  const n = order.length;
  if (n < 4) return 0;
  const shown = (i: number) => stations[order[i % n]!]!.shows;
  return order.filter((_, i) => shown(i) === shown(i + 1) && shown(i) === shown(i + 2)).length;
}

/** Depth first, the stations with most that must stay apart first; a place at the end looks back at the beginning as well. */
class Search {
  private readonly apart: readonly ReadonlySet<number>[];
  private steps = 0;

  constructor(apart: readonly ReadonlySet<number>[]) {
    this.apart = apart;
  }

  /** An order without pairs that stand too near; 'none' where there is none, undefined where the steps ran out. */
  from(wanted: readonly number[]): number[] | 'none' | undefined {
    this.steps = 0;
    const placed: number[] = [];
    const left = new Set(wanted);
    const found = this.place(placed, left, wanted);
    if (found) return placed;
    return found === false ? 'none' : undefined;
  }

  /** true where it is placed, false where it cannot be, undefined where the steps ran out. */
  private place(placed: number[], left: Set<number>, wanted: readonly number[]): boolean | undefined {
    const n = wanted.length;
    if (left.size === 0) return true;
    // The first place of a circle can be anyone's.
    const open = placed.length === 0 ? wanted.slice(0, 1) : this.inTurn(left, wanted);
    for (const each of open) {
      this.steps += 1;
      if (this.steps > STEPS) return undefined;
      if (!this.fits(each, placed, n)) continue;
      placed.push(each);
      left.delete(each);
      const found = this.place(placed, left, wanted);
      if (found !== false) return found;
      placed.pop();
      left.add(each);
    }
    return false;
  }

  /** Those that have most left to keep away from go first. */
  private inTurn(left: ReadonlySet<number>, wanted: readonly number[]): number[] {
    const open = (i: number) => [...this.apart[i]!].filter((other) => left.has(other)).length;
    return wanted.filter((i) => left.has(i)).sort((x, y) => open(y) - open(x));
  }

  private fits(each: number, placed: readonly number[], n: number): boolean {
    const at = placed.length;
    return placed.every((other, i) => {
      const steps = at - i;
      const near = steps < APART || n - steps < APART;
      return !near || !this.apart[each]!.has(other);
    });
  }
}
