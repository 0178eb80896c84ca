import type { TaxonNames } from '@hurrow/core/taxon';
import { scientificName } from '@hurrow/core/taxon';

/** Genus and epithet in italics, × and ranks upright. */
export function Latin({ names }: { names: TaxonNames }) {
  const parts = scientificName(names).split(/(\s(?:×|subsp\.|var\.)\s)/);
  return (
    <span>
      {parts.map((part, i) =>
        i % 2 ? (
          part
        ) : (
          <span key={i} className="latin">
            {part}
          </span>
        ),
      )}
    </span>
  );
}
