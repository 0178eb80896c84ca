import type { PracticePack } from '@hurrow/contract/practice';
import { commonName, scientificName } from '@hurrow/core/taxon';

/** A tree by the name that the course asks for. */
export function TreeName({ pack, id }: { pack: PracticePack; id: string }) {
  return <span className={pack.common ? '' : 'latin'}>{nameOf(pack, id)}</span>;
}

export function nameOf(pack: PracticePack, id: string): string {
  const taxon = pack.taxa.find((each) => each.taxon.id === id)?.taxon;
  if (!taxon) return id;
  return pack.common ? commonName(taxon) : scientificName(taxon);
}
