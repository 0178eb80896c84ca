import { t } from '@lingui/core/macro';
import type { KeptTree } from '@hurrow/contract/grounds';
import type { ProfiledTaxon } from '@hurrow/core/evidence';
import { commonName } from '@hurrow/core/taxon';

/** How a tree is drawn on the map: by whether something may be cut from it. */
export type TreeLook = 'cut' | 'ask' | 'look' | 'unnamed';

/** A tree as it stands on the map. */
export interface MapTree {
  id: string;
  latitude: number;
  longitude: number;
  spread: number | null;
  look: TreeLook;
  title: string;
}

/** The name that a tree is called by in lists. */
export const nameOfTree = (
  tree: Pick<KeptTree, 'taxonId'>,
  profileOf: (id: string) => ProfiledTaxon | undefined,
): string => {
  const taxon = tree.taxonId === null ? undefined : profileOf(tree.taxonId)?.taxon;
  return taxon ? commonName(taxon) : t`not named yet`;
};

/** How a tree is drawn on a day: leave that has run out is none. */
export function lookOfTree(
  tree: Pick<KeptTree, 'taxonId' | 'cutting' | 'until'>,
  profileOf: (id: string) => ProfiledTaxon | undefined,
  day: string,
): TreeLook {
  const taxon = tree.taxonId === null ? undefined : profileOf(tree.taxonId)?.taxon;
  if (!taxon) return 'unnamed';
  const isProtected = taxon.cautions.some(({ kind }) => kind === 'protected');
  if (isProtected || tree.cutting === 'no') return 'look';
  return tree.cutting === 'ask' || (tree.until !== null && tree.until < day) ? 'ask' : 'cut';
}

export const mapTrees = (
  trees: readonly KeptTree[],
  profileOf: (id: string) => ProfiledTaxon | undefined,
  day: string,
): MapTree[] =>
  trees.map((tree) => ({
    id: tree.id,
    latitude: tree.latitude,
    longitude: tree.longitude,
    spread: tree.spread,
    look: lookOfTree(tree, profileOf, day),
    title: `${tree.tag}, ${nameOfTree(tree, profileOf)}`,
  }));

/** Trees that fit what is looked for: words of tag, names, note and place; and what is asked of them. */
export function treesFound(
  trees: readonly KeptTree[],
  wanted: {
    words: string;
    taxonId?: string | undefined;
    only?: 'all' | 'cut' | 'unconfirmed' | 'unmeasured';
  },
  profileOf: (id: string) => ProfiledTaxon | undefined,
  day: string,
): KeptTree[] {
  const words = wanted.words.toLowerCase().split(/\s+/).filter(Boolean);
  return trees.filter((tree) => {
    if (wanted.taxonId && tree.taxonId !== wanted.taxonId) return false;
    if (wanted.only === 'cut' && lookOfTree(tree, profileOf, day) !== 'cut') return false;
    if (wanted.only === 'unconfirmed' && tree.confirmedBy !== '') return false;
    if (wanted.only === 'unmeasured' && tree.girths.length > 0 && tree.height !== null) return false;
    const taxon = tree.taxonId === null ? undefined : profileOf(tree.taxonId)?.taxon;
    const text = [
      tree.tag,
      tree.note,
      tree.access,
      taxon ? `${commonName(taxon)} ${taxon.genus} ${taxon.epithet} ${taxon.family}` : t`not named`,
    ]
      .join(' ')
      .toLowerCase();
    return words.every((word) => text.includes(word));
  });
}
