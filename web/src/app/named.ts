import type { ProfiledTaxon } from '@hurrow/core/evidence';
import { scientificName } from '@hurrow/core/taxon';

/**
 * Taxa one of whose names holds what was typed, in the order given; none where nothing was typed.
 *
 * @example
 * named(library, 'larch'); // [western larch, subalpine larch]
 */
export function named(profiles: readonly ProfiledTaxon[], typed: string): ProfiledTaxon[] {
  const wanted = typed.trim().toLowerCase();
  if (!wanted) return [];
  return profiles.filter(({ taxon }) =>
    [scientificName(taxon), ...taxon.commonNames, ...taxon.synonyms].some((name) =>
      name.toLowerCase().includes(wanted),
    ),
  );
}
