import { randomFrom } from '../random/index.ts';

/** What a walk costs: between its stops, from its start and to its end; metres, with what unlike neighbours are worth in metres. */
export interface WalkCosts {
  /** Square and symmetric. */
  between: readonly (readonly number[])[];
  fromStart: readonly number[];
  toEnd: readonly number[];
}

export interface WalkOrder {
  /** Indices of the stops. */
  order: number[];
  cost: number;
  /** No other order is cheaper. */
  proved: boolean;
}

/** Up to so many stops all orders are gone through. */
export const EXACT_STOPS = 12;
/** So often a long walk is shaken and mended; more gains little. */
const SHAKES = 80;
const SEED = 19;

/** The cost of a walk in an order. */
export const costOf = ({ between, fromStart, toEnd }: WalkCosts, order: readonly number[]): number =>
  order.length === 0
    ? 0
    : fromStart[order[0]!]! +
      order.slice(1).reduce((sum, stop, i) => sum + between[order[i]!]![stop]!, 0) +
      toEnd[order.at(-1)!]!;

/**
 * The cheapest order of the stops of a walk: by dynamic programming over all sets of stops up to twelve (Held & Karp 1962), beyond by
 * nearest neighbours from several stops, turned (2-opt) and moved (Or-opt) until nothing helps, then shaken and mended again.
 *
 * @param costs `between` n × n, `fromStart` and `toEnd` of length n, metres
 * @returns the order; the same for the same costs
 * @example
 * orderWalk({ between: [[0, 5], [5, 0]], fromStart: [9, 1], toEnd: [1, 9] }); // { order: [1, 0], cost: 7, proved: true }
 */
export function orderWalk(costs: WalkCosts): WalkOrder {
  const n = costs.fromStart.length;
  if (n === 0) return { order: [], cost: 0, proved: true };
  const order = n <= EXACT_STOPS ? exactOrder(costs, n) : goodOrder(costs, n);
  return { order, cost: costOf(costs, order), proved: n <= EXACT_STOPS };
}

function exactOrder({ between, fromStart, toEnd }: WalkCosts, n: number): number[] {
  const size = 1 << n;
  const cost = new Float64Array(size * n).fill(Infinity);
  const before = new Int8Array(size * n).fill(-1);
  for (let i = 0; i < n; i += 1) cost[(1 << i) * n + i] = fromStart[i]!;
  for (let set = 1; set < size; set += 1)
    for (let last = 0; last < n; last += 1) {
      const here = cost[set * n + last]!;
      if (here === Infinity) continue;
      for (let next = 0; next < n; next += 1) {
        if (set & (1 << next)) continue;
        const at = (set | (1 << next)) * n + next;
        const through = here + between[last]![next]!;
        if (through < cost[at]!) {
          cost[at] = through;
          before[at] = last;
        }
      }
    }
  const total = (last: number) => cost[(size - 1) * n + last]! + toEnd[last]!;
  let last = 0;
  for (let i = 1; i < n; i += 1) if (total(i) < total(last)) last = i;
  const order: number[] = [];
  for (let set = size - 1; last >= 0;) {
    order.unshift(last);
    const previous = before[set * n + last]!;
    set &= ~(1 << last);
    last = previous;
  }
  return order;
}

/** Nearest stop after nearest stop, beginning with one. */
export function nearestFirst({ between, fromStart }: WalkCosts, first?: number): number[] {
  const left = new Set(fromStart.keys());
  const nearest = (cost: readonly number[]) =>
    [...left].reduce((best, stop) => (cost[stop]! < cost[best]! ? stop : best));
  const order = [first ?? nearest(fromStart)];
  left.delete(order[0]!);
  while (left.size > 0) {
    const next = nearest(between[order.at(-1)!]!);
    left.delete(next);
    order.push(next);
  }
  return order;
}

/** Turns stretches round while that is cheaper (Croes 1958). */
export function turned(costs: WalkCosts, order: readonly number[]): number[] {
  let best = [...order];
  for (let again = true; again;) {
    again = false;
    for (let i = 0; i < best.length - 1; i += 1)
      for (let j = i + 1; j < best.length; j += 1)
        if (joint(costs, best, i - 1, j) + joint(costs, best, i, j + 1) < ends(costs, best, i, j) - EPSILON) {
          best = [...best.slice(0, i), ...best.slice(i, j + 1).reverse(), ...best.slice(j + 1)];
          again = true;
        }
  }
  return best;
}

const EPSILON = 1e-9;
/** Cost between the stops at two places; before the first is the start, after the last the end. */
const joint = (
  { between, fromStart, toEnd }: WalkCosts,
  order: readonly number[],
  i: number,
  j: number,
): number =>
  i < 0 ? fromStart[order[j]!]! : j >= order.length ? toEnd[order[i]!]! : between[order[i]!]![order[j]!]!;
const ends = (costs: WalkCosts, order: readonly number[], i: number, j: number): number =>
  joint(costs, order, i - 1, i) + joint(costs, order, j, j + 1);

/** Moves up to three stops that follow each other to another place, either way round, while that is cheaper (Or 1976). */
function shifted(costs: WalkCosts, order: readonly number[]): number[] {
  let best = [...order];
  let cost = costOf(costs, best);
  for (let again = true; again;) {
    again = false;
    for (let length = 1; length <= 3; length += 1)
      for (let from = 0; from + length <= best.length; from += 1) {
        const moved = bestPlace(costs, best, from, length, cost);
        if (!moved) continue;
        best = moved.order;
        cost = moved.cost;
        again = true;
      }
  }
  return best;
}

function bestPlace(costs: WalkCosts, order: readonly number[], from: number, length: number, cost: number) {
  const piece = order.slice(from, from + length);
  const rest = [...order.slice(0, from), ...order.slice(from + length)];
  const [first, last] = [piece[0]!, piece.at(-1)!];
  const inner = piece.slice(1).reduce((sum, stop, i) => sum + costs.between[piece[i]!]![stop]!, 0);
  const without = costOf(costs, rest) + inner;
  let found: { order: number[]; cost: number } | undefined;
  for (let to = 0; to <= rest.length; to += 1) {
    const cut = rest.length === 0 ? 0 : joint(costs, rest, to - 1, to);
    for (const [head, tail, way] of [
      [first, last, piece],
      [last, first, [...piece].reverse()],
    ] as const) {
      const into = to === 0 ? costs.fromStart[head]! : costs.between[rest[to - 1]!]![head]!;
      const out = to === rest.length ? costs.toEnd[tail]! : costs.between[tail]![rest[to]!]!;
      const whole = without - cut + into + out;
      if (whole < (found?.cost ?? cost) - EPSILON)
        found = { order: [...rest.slice(0, to), ...way, ...rest.slice(to)], cost: whole };
    }
  }
  return found;
}

function goodOrder(costs: WalkCosts, n: number): number[] {
  const mended = (order: number[]): number[] => {
    let best = order;
    for (;;) {
      const next = shifted(costs, turned(costs, best));
      if (costOf(costs, next) >= costOf(costs, best) - EPSILON) return best;
      best = next;
    }
  };
  const starts = [undefined, ...Array.from({ length: 5 }, (_, i) => Math.floor((i * n) / 5))];
  const begun = starts.map((first) => mended(nearestFirst(costs, first)));
  let best = begun.reduce((one, other) => (costOf(costs, other) < costOf(costs, one) ? other : one));
  const random = randomFrom(SEED);
  for (let i = 0; i < SHAKES; i += 1) {
    // Three cuts and the middle pieces changed over (Martin, Otto & Felten 1991): no turning brings that back at once.
    const at = [1, 2, 3].map(() => 1 + Math.floor(random.uniform() * (n - 1))).sort((a, b) => a - b);
    const [a = 0, b = 0, c = 0] = at;
    const next = mended([...best.slice(0, a), ...best.slice(b, c), ...best.slice(a, b), ...best.slice(c)]);
    if (costOf(costs, next) < costOf(costs, best) - EPSILON) best = next;
  }
  return best;
}
