import {
  dissimilarity,
  evidenceTaken,
  pairError,
  readingsOf,
  spokenFor,
  type ProfiledTaxon,
  type ReadingOptions,
} from '../evidence/index.ts';
import type { Answer, NamedTaxon, NamingPolicy } from '../names/index.ts';
import { randomFrom, seedOf } from '../random/index.ts';
import { commonName, scientificName } from '../taxon/index.ts';
import type { View } from '../view/index.ts';
import type { Vocabulary } from '../vocabulary/index.ts';
import { stationFairness, type Fairness } from './fairness.ts';

/** Names to choose from at a station, the right one among them. */
export const CHOICES = 4;

/** Relatives are the better choice of two that are as unlike: by so much of a whole unlikeness. */
const KIN = { genus: 0.3, family: 0.15 };
/** Nobody offers a juniper for an elm: trees of another kind of foliage come last. */
const OTHER_FOLIAGE = 1;
/** Errors of the ideal reader within a step of five in a hundred are the same. */
const STEPS = 20;

/**
 * The names to choose from at a station: its tree and those of the list that are most easily taken for it in what is shown, in an order by lot; of
 * those that no careful reader takes for it, the least unlike, relatives before others. So a choice asks what a free answer asks: to tell it from
 * its lookalikes.
 *
 * @param list of which the station's tree is one
 * @returns ids of four taxa, fewer where the list is shorter; the same seed gives the same order
 */
export function choicesOf(
  truth: string,
  list: readonly ProfiledTaxon[],
  vocabulary: Vocabulary,
  view: View,
  { seed, ...options }: ReadingOptions & { seed: number },
): string[] {
  const at = list.findIndex(({ taxon }) => taxon.id === truth);
  if (at < 0) throw new Error('The taxon of a station must be on the taught list');
  const readings = readingsOf(list, vocabulary, view, options);
  const left = spokenFor(readings);
  const { genus, family } = list[at]!.taxon;
  const foliage = foliageOf(list[at]!);
  const rivals = list
    .flatMap((profiled, other) => {
      if (other === at) return [];
      const { taxon } = profiled;
      const theirs = foliageOf(profiled);
      const alike =
        foliage.length === 0 || theirs.length === 0 || theirs.some((kind) => foliage.includes(kind));
      const error = pairError(evidenceTaken(readings, left, at, other).taking, at, other);
      const kin = taxon.genus === genus ? KIN.genus : taxon.family === family ? KIN.family : 0;
      return {
        id: taxon.id,
        taken: Math.round(STEPS * error),
        unlike: dissimilarity(readings, at, other) - kin + (alike ? 0 : OTHER_FOLIAGE),
      };
    })
    .sort((a, b) => b.taken - a.taken || a.unlike - b.unlike)
    .slice(0, CHOICES - 1)
    .map(({ id }) => id);
  const random = randomFrom(seedOf(seed, 'choices'));
  return [truth, ...rivals]
    .map((id) => ({ id, lot: random.uniform() }))
    .sort((a, b) => a.lot - b.lot)
    .map(({ id }) => id);
}

/**
 * How fair a station is whose name is chosen from four: as `stationFairness`, with these four as all that can be named.
 *
 * @example
 * choiceFairness(list, 'abies-grandis', BUILT_IN, view); // { right: 0.97, judgement: 'fair', rivals: [{ taxonId: 'abies-lasiocarpa', share: 0.05 }] }
 */
export function choiceFairness(
  list: readonly ProfiledTaxon[],
  taxonId: string,
  vocabulary: Vocabulary,
  view: View,
  options: ReadingOptions & { draws?: number } = {},
): Fairness {
  const four = new Set(choicesOf(taxonId, list, vocabulary, view, { ...options, seed: 1 }));
  const offered = list.filter(({ taxon }) => four.has(taxon.id));
  return stationFairness(offered, taxonId, vocabulary, view, options);
}

/** A name to choose. */
export interface NameToChoose {
  name: string;
  latin: boolean;
  answer: Answer;
}

/**
 * The names to choose from, as a naming policy asks for them, each with the answer that choosing it gives; a name that two of them bear is offered
 * once.
 *
 * @param choices ids of taxa of the list
 * @example
 * namesToChoose(['abies-grandis'], list, 'genus'); // [{ name: 'Abies', latin: true, answer: { genus: 'Abies' } }]
 */
export function namesToChoose(
  choices: readonly string[],
  list: readonly NamedTaxon[],
  policy: NamingPolicy,
): NameToChoose[] {
  const all = choices
    .flatMap((id) => list.find((taxon) => taxon.id === id) ?? [])
    .map((taxon): NameToChoose => {
      if (policy === 'common') {
        const name = commonName(taxon);
        return { name, latin: false, answer: { name } };
      }
      const { genus, epithet, family } = taxon;
      if (policy === 'genus') return { name: genus, latin: true, answer: { genus } };
      const answer = { genus, epithet, ...(policy === 'binomialFamily' ? { family } : {}) };
      return { name: scientificName(taxon), latin: true, answer };
    });
  return all.filter(({ name }, i) => all.findIndex((other) => other.name === name) === i);
}

/** The kinds of foliage of a taxon: broad blades, needles, scales. */
const foliageOf = ({ scores }: ProfiledTaxon): string[] =>
  scores.flatMap(({ characterId, value }) =>
    characterId === 'foliage.kind' && value.kind === 'states' ? value.states.map(({ state }) => state) : [],
  );
