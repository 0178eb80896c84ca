import { ProgramDraft, type Solve } from '../program/index.ts';
import { sharesOf } from './judge.ts';
import type { Lookalikes, Prospects } from './prospects.ts';

export interface Bundles {
  /** Species that are taught together, by place; each species stands in one bundle, most alone. */
  bundles: number[][];
  /** The share of all lookalikes, by weight, that no bundling of this size could bring together; 0–1. */
  left: number;
}

/** So many groups are weighed at most; beyond that only the hardest lookalikes of each species are looked at. */
const MOST_GROUPS = 1200;

/**
 * Lookalikes bundled so that as many as can be, the harder ones counting more, are taught together: of all groups of up to `most` species
 * that hang together by lookalikes, those that share no species and are worth most, by a set packing.
 *
 * @param seconds for the packing
 */
export function bundlesOf(prospects: Prospects, most: number, solve: Solve, seconds: number): Bundles {
  const { taxa, lookalikes } = prospects;
  const weight = new Map(
    sharesOf(lookalikes).map((share, i) => [`${lookalikes[i]!.a} ${lookalikes[i]!.b}`, share]),
  );
  const worth = (group: readonly number[]) =>
    group.reduce(
      (sum, a, i) =>
        sum +
        group
          .slice(i + 1)
          .reduce((held, b) => held + (weight.get(a < b ? `${a} ${b}` : `${b} ${a}`) ?? 0), 0),
      0,
    );
  const { groups, all } = groupsOf(prospects, most);
  const draft = new ProgramDraft();
  const chosen = groups.map((group) => draft.yesOrNo(-worth(group)));
  for (const t of taxa.keys()) {
    const holding = groups.flatMap((group, g) => (group.includes(t) ? [[chosen[g]!, 1] as const] : []));
    if (holding.length > 1) draft.row(holding, 0, 1);
  }
  const solution = groups.length > 0 ? solve(draft.program, seconds) : undefined;
  const bundles = solution
    ? groups.filter((_, g) => solution.values[chosen[g]!]! > 0.5)
    : hardestFirst(lookalikes, most);
  const bundled = new Set(bundles.flat());
  return {
    bundles: [...bundles, ...[...taxa.keys()].filter((t) => !bundled.has(t)).map((t) => [t])],
    left: Math.max(
      0,
      1 - Math.min(1, all && solution ? -solution.bound : roughly(taxa.length, lookalikes, most)),
    ),
  };
}

/** Where the packing takes too long: the hardest pair first, each joining what its species already stand with as long as there is room. */
function hardestFirst(lookalikes: readonly Lookalikes[], most: number): number[][] {
  const held = new Map<number, number[]>();
  for (const { a, b } of [...lookalikes].sort((x, y) => y.error - x.error)) {
    const both = [...new Set([...(held.get(a) ?? [a]), ...(held.get(b) ?? [b])])].sort((x, y) => x - y);
    if (both.length <= most) for (const t of both) held.set(t, both);
  }
  return [...new Set(held.values())];
}

/** No more than half of what each species would gain with the partners it is most like. */
function roughly(taxa: number, lookalikes: readonly Lookalikes[], most: number): number {
  const shares = sharesOf(lookalikes);
  const gains = Array.from({ length: taxa }, (_, t) =>
    shares
      .filter((_share, i) => lookalikes[i]!.a === t || lookalikes[i]!.b === t)
      .sort((x, y) => y - x)
      .slice(0, most - 1)
      .reduce((sum, each) => sum + each, 0),
  );
  return gains.reduce((sum, each) => sum + each, 0) / 2;
}

/** The groups of two to `most` species that hang together by lookalikes, and whether these are all that there are. */
function groupsOf({ taxa, lookalikes }: Prospects, most: number): { groups: number[][]; all: boolean } {
  for (let partners = taxa.length; partners > 0; partners = partners > 8 ? 8 : partners - 1) {
    const near = taxa.map((_, t) =>
      lookalikes
        .filter(({ a, b }) => a === t || b === t)
        .sort((x, y) => y.error - x.error)
        .slice(0, partners)
        .map(({ a, b }) => (a === t ? b : a)),
    );
    const found = new Map<string, number[]>();
    let layer = taxa.map((_, t) => [t]);
    for (let size = 2; size <= most && found.size <= MOST_GROUPS; size += 1) {
      const next = new Map<string, number[]>();
      for (const group of layer)
        for (const t of group.flatMap((member) => near[member]!)) {
          if (group.includes(t)) continue;
          const grown = [...group, t].sort((x, y) => x - y);
          next.set(grown.join(' '), grown);
          if (found.size + next.size > MOST_GROUPS) break;
        }
      for (const [key, group] of next) found.set(key, group);
      layer = [...next.values()];
    }
    if (found.size <= MOST_GROUPS) return { groups: [...found.values()], all: partners >= taxa.length };
  }
  return { groups: [], all: false };
}
