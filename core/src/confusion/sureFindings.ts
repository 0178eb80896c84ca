import { mean, sampleVariance } from 'simple-statistics';
import { chancesApart, sureOf, type Estimate } from '../attention/index.ts';
import { SCALES } from './parameters.ts';
import type { CharacterFinding, ConfusionReport } from './findings.ts';

/** Chances that a species is missed, or a name given, far beyond the others: their estimates freed of the prior, by taxon. */
export function chancesOf(
  draws: readonly Float64Array[],
  offset: number,
  taxa: readonly string[],
  has: (taxon: number) => boolean,
): Map<string, number> {
  const those = taxa.flatMap((id, t) => (has(t) ? [{ id, t }] : []));
  const estimates = those.map(({ t }): Estimate => {
    const values = draws.map((theta) => theta[offset + t]!);
    const [at, variance] = [mean(values), sampleVariance(values)];
    const precision = Math.max(0.05, 1 / variance - 1 / SCALES.missed ** 2);
    return { value: at / variance / precision, sd: Math.sqrt(1 / precision) };
  });
  const chances = chancesApart(estimates, SCALES.missed);
  return new Map(those.map(({ id }, i) => [id, chances[i]!]));
}

/** Used by less than four fifths, surely less than in full, and to be seen at two stations at least. */
const couldBeSure = ({ telling, worth }: CharacterFinding): boolean =>
  telling.length >= 2 && worth !== undefined && worth.share < 0.8 && worth.interval[1] < 1;

type Findings = Pick<ConfusionReport, 'characters' | 'species' | 'overGiven'>;

/** Marks what is said as sure, over characters, species and names together. */
export function markSure(
  { characters, species, overGiven }: Findings,
  chance: {
    character(place: number): number;
    species: ReadonlyMap<string, number>;
    name: ReadonlyMap<string, number>;
  },
): Findings {
  const sure = sureOf([
    ...characters.map((found, c) => (couldBeSure(found) ? chance.character(c) : 0)),
    ...species.map(({ taxonId }) => chance.species.get(taxonId) ?? 0),
    ...overGiven.map(({ taxonId }) => chance.name.get(taxonId) ?? 0),
  ]);
  const [first, second] = [characters.length, characters.length + species.length];
  return {
    characters: characters.map((found, i) => ({ ...found, sure: sure[i]! })),
    species: species.map((found, i) => ({ ...found, sure: sure[first + i]! })),
    overGiven: overGiven.map((found, i) => ({ ...found, sure: sure[second + i]! })),
  };
}
