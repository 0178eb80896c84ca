import { scientificName, type TaxonNames } from '../taxon/index.ts';
import { comparedWord, comparedWords } from './compared.ts';
import { normaliseName } from './fold.ts';
import { otherPlants } from './otherPlants.ts';
import { lettersOf, WordBank, type Letters } from './slip.ts';

/** A taxon that may be named, with the names it goes by. */
export interface NamedTaxon extends TaxonNames {
  id: string;
}

export type NameKind = 'exact' | 'synonym' | 'common';

/** One name of one taxon. */
export interface KnownName {
  taxonId: string;
  kind: NameKind;
  /** As it is written in the list. */
  written: string;
}

export interface LatinName extends KnownName {
  genus: string;
  epithet: string;
  infra: string;
}

export interface CommonName extends KnownName {
  /** Its words as they are compared. */
  words: string[];
  joined: string;
  /** The one that its taxon is called by first. */
  preferred: boolean;
  /** Its words as they are spelled, but for case and signs. */
  plain: string[];
  spelled: string;
  letters: Letters;
}

/** All names of a list, ready to be looked up. */
export interface KnownNames {
  latin: LatinName[];
  common: CommonName[];
  /** By the plain words of the whole name. */
  byLatin: Map<string, LatinName[]>;
  byCommon: Map<string, CommonName[]>;
  /** What follows from common names by rule, where only one taxon bears it. */
  byShort: Map<string, CommonName[]>;
  /** Genera as they are written, by their plain word, with the taxa in them. */
  genera: Map<string, { genus: string; taxa: string[] }>;
  byEpithet: Map<string, LatinName[]>;
  byGenus: Map<string, LatinName[]>;
  genusBank: WordBank;
  epithetBank: WordBank;
  /** Common names and what follows from them, one of each. */
  allCommon: CommonName[];
  /** The words of common names. */
  commonWords: ReadonlySet<string>;
  /** Common names that end in a word: what a bare “fir” may mean. */
  byNoun: Map<string, CommonName[]>;
}

/** Words in front that say where or how common: the name stands without them where no other tree of the list bears it then. */
const DROPPED = new Set(
  [
    'western',
    'eastern',
    'northern',
    'southern',
    'common',
    'european',
    'american',
    'pacific',
    'english',
    'wild',
    'true',
  ].map(comparedWord),
);

const knownByList = new WeakMap<readonly NamedTaxon[], KnownNames>();

/** The names of a list; worked out once for each list. */
export function knownNames(list: readonly NamedTaxon[]): KnownNames {
  const held = knownByList.get(list) ?? gather(list);
  knownByList.set(list, held);
  return held;
}

function gather(list: readonly NamedTaxon[]): KnownNames {
  const latin = list.flatMap((taxon) =>
    [scientificName(taxon), ...taxon.synonyms].map((written, i) =>
      latinName(taxon.id, i === 0 ? 'exact' : 'synonym', written),
    ),
  );
  const common = list.flatMap((taxon) =>
    taxon.commonNames.map((written, i) => commonNameOf(taxon.id, written, i === 0)),
  );
  const genera = new Map<string, { genus: string; taxa: string[] }>();
  for (const { id, genus } of list) {
    const held = genera.get(normaliseName(genus)) ?? { genus, taxa: [] };
    genera.set(normaliseName(genus), { ...held, taxa: [...held.taxa, id] });
  }
  const byCommon = grouped(common, ({ joined }) => joined);
  // “Douglasfir” in one word is found as it is spelled.
  for (const [spelled, names] of grouped(common, ({ plain }) => plain.join('')))
    if (!byCommon.has(spelled)) byCommon.set(spelled, names);
  const byEpithet = grouped(
    latin.filter(({ epithet }) => epithet !== ''),
    ({ epithet, infra }) => infra || epithet,
  );
  const short = common
    .flatMap(shortened)
    // “Tamarack” is the eastern one, however short one may call the western.
    .filter(
      ({ joined, ...name }) =>
        !byCommon.has(joined) &&
        !otherPlants().isOneKind(joined) &&
        !isTailOfAnother({ joined, ...name }, common),
    );
  const allCommon = [
    ...new Map(
      [...common, ...short].map((name) => [`${name.taxonId} ${name.spelled} ${name.joined}`, name]),
    ).values(),
  ];
  return {
    latin,
    common,
    byLatin: grouped(latin, plainLatin),
    byCommon,
    byShort: grouped(short, ({ joined }) => joined),
    genera,
    byEpithet,
    byGenus: grouped(latin, ({ genus }) => genus),
    epithetBank: new WordBank(byEpithet.keys(), 'latin'),
    allCommon,
    commonWords: new Set(common.flatMap(({ words }) => words)),
    genusBank: new WordBank([...genera.keys(), ...latin.map(({ genus }) => genus)], 'latin'),
    byNoun: grouped(
      common.filter(({ words }) => words.length > 1),
      ({ words }) => words.at(-1)!,
    ),
  };
}

export const plainLatin = ({ genus, epithet, infra }: LatinName): string =>
  [genus, epithet, infra].filter(Boolean).join(' ');

function latinName(taxonId: string, kind: NameKind, written: string): LatinName {
  const [genus = '', ...rest] = normaliseName(written).split(' ').filter(Boolean);
  // “uva-ursi” is one epithet of two words; an epithet of a lower rank stands behind its rank.
  const parted = /\s(?:var|subsp|ssp|f)\.?\s+(.+)$/.exec(written);
  const infra = parted ? normaliseName(parted[1]!).replace(/ /g, '') : '';
  const words = infra ? rest.slice(0, -1) : rest;
  return { taxonId, kind, written, genus, epithet: words.join(''), infra };
}

function commonNameOf(taxonId: string, written: string, preferred: boolean): CommonName {
  const words = comparedWords(written);
  return asCommon({ taxonId, kind: 'common', written, preferred }, words, normaliseName(written).split(' '));
}

function asCommon(
  { taxonId, kind, written, preferred }: KnownName & { preferred: boolean },
  words: string[],
  plain: string[],
): CommonName {
  const joined = words.join('');
  return {
    taxonId,
    kind,
    written,
    preferred,
    words,
    joined,
    plain,
    spelled: plain.join(''),
    letters: lettersOf(joined),
  };
}

/** A common name without the words in front that may be dropped, and without “tree” behind. */
function shortened(name: CommonName): CommonName[] {
  const found: CommonName[] = [];
  let { words } = name;
  if (words.length > 1 && words.at(-1) === 'tree') {
    words = words.slice(0, -1);
    found.push(asCommon(name, words, words));
  }
  while (words.length > 1 && DROPPED.has(words[0]!)) {
    words = words.slice(1);
    found.push(asCommon(name, words, words));
  }
  return found;
}

/** “Hemlock” for the western one, where the mountain hemlock is on the list too. */
const isTailOfAnother = ({ taxonId, words }: CommonName, all: readonly CommonName[]): boolean =>
  all.some(
    (other) => other.taxonId !== taxonId && other.words.slice(-words.length).join(' ') === words.join(' '),
  );

function grouped<T>(items: readonly T[], keyOf: (item: T) => string): Map<string, T[]> {
  const groups = new Map<string, T[]>();
  for (const item of items) {
    const group = groups.get(keyOf(item));
    if (group) group.push(item);
    else groups.set(keyOf(item), [item]);
  }
  return groups;
}
