import type { TermPlan } from './judge.ts';

/**
 * A plan made better by moving a species to another week and by exchanging two, until neither helps.
 *
 * @param costOf a plan: its measure, and infinity for one that breaks a rule
 * @param weeks to which a species may be moved
 * @param fixed species that stay where they are
 * @param rounds through all species at most
 */
export function improved(
  plan: TermPlan,
  costOf: (plan: TermPlan) => number,
  weeks: readonly number[],
  fixed: ReadonlySet<string>,
  rounds: number,
): TermPlan {
  const free = Object.keys(plan).filter((id) => !fixed.has(id));
  let best: Record<string, number> = { ...plan };
  let cost = costOf(best);
  const tried = (change: Record<string, number>): boolean => {
    const next = { ...best, ...change };
    const at = costOf(next);
    if (at >= cost - 1e-9) return false;
    [best, cost] = [next, at];
    return true;
  };
  for (let round = 0; round < rounds; round += 1) {
    let helped = false;
    for (const [i, id] of free.entries()) {
      for (const week of weeks) if (week !== best[id]) helped = tried({ [id]: week }) || helped;
      for (const other of free.slice(i + 1))
        if (best[other] !== best[id]) helped = tried({ [id]: best[other]!, [other]: best[id]! }) || helped;
    }
    if (!helped) break;
  }
  return best;
}
