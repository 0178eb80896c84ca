import { couplets, type Appraisal, type Key } from '@hurrow/core/key';
import { commonName, type Taxon } from '@hurrow/core/taxon';
import { LEAVES_TITLES } from '@hurrow/core/view';
import { inTongue } from '../language/inTongue.ts';

export type Layout = 'bracketed' | 'indented';

/** The taxon of an id; undefined where the library no longer has it. */
export type FoundTaxon = (id: string) => Taxon | undefined;

export const nameOf = (taxon: Taxon | undefined, id: string): string => (taxon ? commonName(taxon) : id);

/** The condition that a key is for, where the date leaves it open: “, bare of leaves”. */
export const leavesOf = ({ view }: Pick<Key, 'view'>): string =>
  view.leaves ? `, ${inTongue(LEAVES_TITLES[view.leaves])}` : '';

/** The number of the couplet at which most noisy readers are lost, with the share of all that is lost there. */
export function weakestOf({
  key,
  appraisal: { weakest },
}: {
  key: Key;
  appraisal: Pick<Appraisal, 'weakest'>;
}): { couplet: number; lost: number } | undefined {
  const at = weakest && couplets(key).findIndex(({ path }) => path.join() === weakest.path.join());
  return at === undefined || at < 0 ? undefined : { couplet: at + 1, lost: weakest!.lost };
}
