import { readLibrary } from '@hurrow/core/library';
import { normaliseName, otherPlants, resolveName, type NamedTaxon } from '@hurrow/core/names';
import { randomFrom } from '@hurrow/core/random';
import { scientificName } from '@hurrow/core/taxon';
import { demoLibrary } from '../library.ts';
import { secondFlora } from '../starters.ts';
import { NAMES_BY_HAND } from './namesByHand.ts';
import type { WrittenAnswer } from './nameTable.ts';

/** The two lists that answers are read against. */
export function readingLists(): { demo: NamedTaxon[]; second: NamedTaxon[] } {
  const [demo, second] = [demoLibrary(), secondFlora()].map((library) =>
    readLibrary(library).profiles.map(({ taxon }) => taxon),
  );
  return { demo: demo!, second: second! };
}

export const writtenByHand = (): WrittenAnswer[] =>
  Object.entries(NAMES_BY_HAND).flatMap(([kind, rows]) =>
    rows.map(([text, wanted]) => ({ kind, text, wanted })),
  );

/** How many answers are read as they are meant; those read as another tree, and those read as a tree that are none. */
export function agreementOf(rows: readonly WrittenAnswer[], list: readonly NamedTaxon[]) {
  const read = rows.map((row) => ({ ...row, got: resolveName(row.text, list).taxonId ?? null }));
  const wrong = read.filter(({ wanted, got }) => got !== null && got !== wanted);
  const inWords = ({ text, got }: (typeof read)[number]) => `${text}: ${got}`;
  return {
    n: rows.length,
    agree: read.filter(({ wanted, got }) => got === wanted).length,
    wrongTaxa: wrong.filter(({ wanted }) => wanted !== null).map(inWords),
    accepted: wrong.filter(({ wanted }) => wanted === null).map(inWords),
  };
}

/** Names of woody plants in a random order that is always the same. */
function shuffledNames(): [genus: string, epithet: string][] {
  const { epithets, genera } = otherPlants();
  const random = randomFrom(9);
  return [...epithets]
    .flatMap(([genus, all]) => all.map((epithet): [string, string] => [genera.get(genus)!, epithet]))
    .map((name) => ({ name, at: random.uniform() }))
    .sort((a, b) => a.at - b.at)
    .map(({ name }) => name);
}

/** A list of so many taxa with Latin names, as a large library has. */
export const manyTaxa = (n: number): NamedTaxon[] =>
  shuffledNames()
    .slice(0, n)
    .map(([genus, epithet]) => ({
      id: `${genus}-${epithet}`,
      rank: 'species',
      genus,
      epithet,
      family: 'Pinaceae',
      commonNames: [],
      synonyms: [],
    }));

/** Names of plants that are not on a list: Latin ones first, then common ones that hold none of the list's and stand in none. */
export function namesOffList(list: readonly NamedTaxon[], n: number): string[] {
  const own = new Set(list.flatMap((taxon) => [scientificName(taxon).replace('× ', ''), ...taxon.synonyms]));
  const latin = shuffledNames()
    .map((name) => name.join(' '))
    .filter((name) => !own.has(name));
  const plain = (name: string) => normaliseName(name).replace(/ /g, '').replace(/s$/, '');
  const ownCommon = list.flatMap(({ commonNames }) => commonNames.map(plain));
  const isNear = (name: string) =>
    ownCommon.some((each) => each.includes(plain(name)) || plain(name).includes(each));
  const common = [...otherPlants().common.values()].filter((name) => name.includes(' ') && !isNear(name));
  return [...latin, ...common].slice(0, n);
}
