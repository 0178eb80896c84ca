import { t } from '@lingui/core/macro';
import { resolveName, type NamedTaxon } from '@hurrow/core/names';
import { commonName, scientificName, type Taxon } from '@hurrow/core/taxon';

/** What a written name comes to. */
export interface Named {
  right: boolean;
  /** It counts, but a part was misspelled or wrong. */
  slips: number;
  /** The tree that it names, if any. */
  taxonId?: string;
  /** What is said of it. */
  said: string;
}

/**
 * Reads the name that was written for a tree: by whatever name, however cased; a misspelling counts and is said.
 *
 * @example
 * namedAs('Abies lasiocarpa', 'abies-grandis', list, false).taxonId; // 'abies-lasiocarpa'
 */
export function namedAs(
  text: string,
  truthId: string,
  list: readonly (NamedTaxon & Taxon)[],
  common: boolean,
): Named {
  const { how, taxonId, genus } = resolveName(text, list);
  const truth = list.find(({ id }) => id === truthId)!;
  if (taxonId === truthId) {
    const misspelled = how === 'misspelled';
    return {
      right: true,
      slips: misspelled ? 1 : 0,
      taxonId,
      said: misspelled ? t`Spelled ${common ? commonName(truth) : scientificName(truth)}.` : '',
    };
  }
  if (taxonId) return { right: false, slips: 0, taxonId, said: '' };
  const said =
    how === 'genus' && genus === truth.genus
      ? t`The genus is right.`
      : how === 'ambiguous'
        ? t`That is the name of more than one tree here.`
        : how === 'blank'
          ? ''
          : t`That is no tree of your list.`;
  return { right: false, slips: 0, said };
}

/**
 * Names of the list that begin like what is written, or of which a word does: five at most, once two letters stand.
 *
 * @example
 * namesLike('fi', ['grand fir', 'limber pine']); // ['grand fir']
 */
export function namesLike(text: string, names: readonly string[]): string[] {
  const typed = text.trim().toLowerCase();
  if (typed.length < 2) return [];
  const begins = (name: string) => name.toLowerCase().startsWith(typed);
  const within = (name: string) => name.toLowerCase().includes(` ${typed}`);
  return [...names.filter(begins), ...names.filter((name) => !begins(name) && within(name))].slice(0, 5);
}
