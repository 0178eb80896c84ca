/**
 * The cheapest set of things that has one at least of every group: the weighted hitting set, exact, by branch and bound. The smallest
 * group not yet hit is branched on; groups that share nothing bound from below what is still to be paid.
 * @param groups each with one thing at least; a thing is named by any text.
 * @param costs what each thing costs, above 0.
 */
export function cheapestHit(groups: readonly string[][], costs: ReadonlyMap<string, number>): string[] {
  const ids = [...new Set(groups.flat())].sort((a, b) => costs.get(a)! - costs.get(b)! || a.localeCompare(b));
  const place = new Map(ids.map((id, i) => [id, i]));
  const price = ids.map((id) => costs.get(id)!);
  const sorted = groups.map((group) => group.map((id) => place.get(id)!).sort((a, b) => a - b));
  // A group that holds all of another one is hit with it.
  const needed = sorted
    .filter(
      (group, i) =>
        !sorted.some(
          (other, j) =>
            j !== i &&
            (other.length < group.length || (other.length === group.length && j < i)) &&
            other.every((id) => group.includes(id)),
        ),
    )
    .sort((a, b) => a.length - b.length);
  let best: number[] = greedy(needed, price);
  let bestCost = sum(best, price);

  const visit = (chosen: number[], cost: number, barred: Uint8Array, open: readonly number[][]) => {
    if (open.length === 0) {
      if (cost < bestCost - 1e-9) [best, bestCost] = [[...chosen], cost];
      return;
    }
    if (cost + atLeast(open, price, barred) >= bestCost - 1e-9) return;
    const free = (group: readonly number[]) => group.filter((id) => !barred[id]);
    const branch = open.reduce((least, group) => (free(group).length < free(least).length ? group : least));
    const without = barred.slice();
    for (const id of free(branch)) {
      visit(
        [...chosen, id],
        cost + price[id]!,
        without,
        open.filter((group) => !group.includes(id)),
      );
      // What was tried is left out of the branches that follow, so that no set is met twice.
      without[id] = 1;
    }
  };
  visit([], 0, new Uint8Array(ids.length), needed);
  return best.map((id) => ids[id]!);
}

const sum = (chosen: readonly number[], price: readonly number[]) =>
  chosen.reduce((total, id) => total + price[id]!, 0);

/** Groups with nothing in common must each be paid for: the cheapest thing of each, added up. Infinite where one cannot be hit. */
function atLeast(open: readonly number[][], price: readonly number[], barred: Uint8Array): number {
  const taken = new Uint8Array(price.length);
  let bound = 0;
  for (const group of open) {
    let [cheapest, apart] = [Infinity, true];
    for (const id of group) {
      if (barred[id]) continue;
      if (taken[id]) apart = false;
      cheapest = Math.min(cheapest, price[id]!);
    }
    if (cheapest === Infinity) return Infinity;
    if (!apart) continue;
    bound += cheapest;
    for (const id of group) taken[id] = 1;
  }
  return bound;
}

/** A first set, by what a thing hits for what it costs. */
function greedy(groups: readonly number[][], price: readonly number[]): number[] {
  const chosen: number[] = [];
  for (let open = [...groups]; open.length > 0;) {
    const hits = new Map<number, number>();
    for (const group of open) for (const id of group) hits.set(id, (hits.get(id) ?? 0) + 1);
    const [id] = [...hits].reduce((a, b) => (b[1] / price[b[0]]! > a[1] / price[a[0]]! ? b : a));
    chosen.push(id);
    open = open.filter((group) => !group.includes(id));
  }
  return chosen;
}
