import { t } from '@lingui/core/macro';
import type { NamedTaxon, Resolution } from '@hurrow/core/names';
import { commonName, scientificName } from '@hurrow/core/taxon';
import { shortly } from '../language/inWords.ts';

/** “a, b or c”. */
const anyOf = (names: readonly string[]): string =>
  t`${names.slice(0, -1).join(', ')} or ${names.at(-1) ?? ''}`;

const byId = (list: readonly NamedTaxon[], id: string | undefined) => list.find((taxon) => taxon.id === id);

/**
 * How an answer was read, for whoever marks it.
 *
 * @example
 * howItReads({ how: 'misspelled', taxonId: 'abies-grandis', matched: 'Abies grandis', distance: 0.8 }, list);
 * // 'Read as Abies grandis, 0.8 letters off.'
 */
export function howItReads(resolution: Resolution, list: readonly NamedTaxon[]): string {
  const { how, distance = 0, matched, rival } = resolution;
  const taxon = byId(list, resolution.taxonId);
  const next = byId(list, rival);
  const besides = next ? t` Next to it: ${scientificName(next)}.` : '';
  if (how === 'blank') return t`Nothing was written.`;
  if (how === 'ambiguous') {
    const names = (resolution.candidates ?? []).flatMap((id) => byId(list, id) ?? []).map(commonName);
    return names.length > 1
      ? t`It may be ${anyOf(names)}.`
      : t`Besides ${names.join('')}, it names ${resolution.other ?? t`something else`}.`;
  }
  if (resolution.other) return t`It is ${resolution.other}, which is not on the list.`;
  if (how === 'genus')
    return taxon
      ? t`Read as the genus ${resolution.genus ?? ''}, of which only ${scientificName(taxon)} is on the list.`
      : t`Read as the genus ${resolution.genus ?? ''}; more than one of it is on the list, or none that fits.`;
  if (!taxon) return t`It names no tree of the list.`;
  if (how === 'misspelled')
    return t`Read as ${matched ?? scientificName(taxon)}, ${shortly(distance, 1)} letters off.${besides}`;
  return matched && matched !== scientificName(taxon)
    ? t`Read as ${matched}, a name of ${scientificName(taxon)}.`
    : t`Read as ${scientificName(taxon)}.`;
}

/** The same in a few words, in brackets, where it says why an answer waits for a ruling; else nothing. */
export function readingInWords(resolution: Resolution, list: readonly NamedTaxon[]): string {
  if (resolution.other) return t`, ${resolution.other} by its name,`;
  if (resolution.how !== 'ambiguous') return '';
  const names = (resolution.candidates ?? []).flatMap((id) => byId(list, id) ?? []).map(commonName);
  return names.length > 1 ? t`, which may be ${anyOf(names)},` : '';
}
