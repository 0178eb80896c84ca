import type { AdoptedScore } from '../score/index.ts';

/** Habitats of two taxa by state of `site.habitat`: in which they can stand side by side, and which each has to itself. */
export interface Habitats {
  shared: string[];
  onlyFirst: string[];
  onlySecond: string[];
}

/** Compares the habitats of two taxa; rare ones do not count. Undefined where either has none scored. */
export function comparedHabitats(
  first: readonly AdoptedScore[],
  second: readonly AdoptedScore[],
): Habitats | undefined {
  const [one, two] = [habitatsOf(first), habitatsOf(second)];
  if (one.length === 0 || two.length === 0) return undefined;
  return {
    shared: one.filter((habitat) => two.includes(habitat)),
    onlyFirst: one.filter((habitat) => !two.includes(habitat)),
    onlySecond: two.filter((habitat) => !one.includes(habitat)),
  };
}

function habitatsOf(scores: readonly AdoptedScore[]): string[] {
  const states = scores
    .filter(({ characterId }) => characterId === 'site.habitat')
    .flatMap(({ value }) => (value.kind === 'states' ? value.states : []))
    .filter(({ frequency }) => frequency !== 'rarely')
    .map(({ state }) => state);
  return [...new Set(states)];
}
