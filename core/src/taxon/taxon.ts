import type { Calendar } from '../season/index.ts';

export const CAUTION_KINDS = [
  'skin contact',
  'thorns',
  'poisonous part',
  'allergen',
  'drop hazard',
  'protected',
  'regulated pest host',
  'invasive',
  'livestock',
  'roadside',
  "water's edge",
] as const;
export type CautionKind = (typeof CAUTION_KINDS)[number];

export interface Caution {
  kind: CautionKind;
  part: string;
  /** What it does. */
  effect: string;
  /** The usual care; it ends by leaving the decision to local rules and licensed people. */
  care: string;
}

export type Rank = 'species' | 'subspecies' | 'variety' | 'genus' | 'group';

/** The names of a taxon: what a student may write for it. */
export interface TaxonNames {
  rank: Rank;
  genus: string;
  /** Empty for a genus or an informal group. */
  epithet: string;
  /** Epithet of a subspecies or variety. */
  infraEpithet?: string;
  hybrid?: boolean;
  authority?: string;
  family: string;
  familyCommon?: string;
  /** Families under which older books list it; accepted, with a remark. */
  olderFamilies?: string[];
  /** The first is the preferred one. */
  commonNames: string[];
  /** Common names in other languages, by tags of BCP 47; the first of each is the preferred one. */
  namesIn?: Record<string, string[]>;
  synonyms: string[];
  /** What the words of the name mean. */
  meaning?: string;
}

/** A taxon as it stands in one revision of its library, without its scores. */
export interface Taxon extends TaxonNames {
  id: string;
  calendar: Calendar;
  cautions: Caution[];
  /** A memory aid for students. */
  memoryAid?: string;
  /** A sentence or two worth telling. */
  fact?: string;
  /** What people have made of it, told as history and never as advice. */
  uses?: string;
  /** Who eats it and lives in it. */
  wildlife?: string;
  /** The largest trees known. */
  largest?: LargestTree[];
  retired?: boolean;
}

/** A measured tree; girth is taken 1.37 m above the ground. Metres. */
export interface LargestTree {
  place: string;
  year?: number;
  girth: number;
  height: number;
  crownSpread: number;
}

/**
 * Size points: girth in inches + height in feet + a quarter of the mean crown spread in feet, the sum that registers of big
 * trees in North America have long ranked by. Rounded to whole points.
 */
export const sizePoints = ({ girth, height, crownSpread }: LargestTree): number =>
  Math.round(girth / 0.0254 + height / 0.3048 + crownSpread / 0.3048 / 4);

/** "Abies grandis", "Populus balsamifera subsp. trichocarpa", "Sorbus × thuringiaca". Without authority. */
export function scientificName(names: TaxonNames): string {
  if (!names.epithet) return names.genus;
  const binomial = `${names.genus} ${names.hybrid ? '× ' : ''}${names.epithet}`;
  if (!names.infraEpithet) return binomial;
  return `${binomial} ${names.rank === 'variety' ? 'var.' : 'subsp.'} ${names.infraEpithet}`;
}

/**
 * A taxon as it is called in a language: the names of that language first, those of the library after them.
 *
 * @param language a tag of BCP 47, as `namesIn` has it
 * @example
 * taxonNamedIn({ commonNames: ['grand fir'], namesIn: { de: ['Küsten-Tanne'] }, … }, 'de').commonNames;
 * // ['Küsten-Tanne', 'grand fir']
 */
export function taxonNamedIn<T extends Pick<TaxonNames, 'commonNames' | 'namesIn'>>(
  taxon: T,
  language: string,
): T {
  const names = taxon.namesIn?.[language];
  return names?.length ? { ...taxon, commonNames: [...names, ...taxon.commonNames] } : taxon;
}

/**
 * The languages in which some taxa have common names besides that of their library, in the order of their tags.
 *
 * @example
 * languagesOf(library.taxa); // ['de', 'fr']
 */
export const languagesOf = (taxa: readonly { taxon: Pick<TaxonNames, 'namesIn'> }[]): string[] =>
  [...new Set(taxa.flatMap(({ taxon }) => Object.keys(taxon.namesIn ?? {})))].sort();

/** The preferred common name, or the scientific one where there is none. */
export const commonName = (names: TaxonNames): string => names.commonNames[0] ?? scientificName(names);
