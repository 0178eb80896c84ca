import { t } from '@lingui/core/macro';
/** A set of the taught list as it is edited. */
export interface Draft {
  /** Of a set that is stored: its lesson stays with it. */
  id?: string;
  title: string;
  week: number | null;
  taxa: string[];
}

/** The list with a set of what was gathered in the vasculum and stands in no set yet. */
export function withGathered(sets: Draft[], gathered: readonly string[]): Draft[] {
  const listed = new Set(sets.flatMap((set) => set.taxa));
  const taxa = gathered.filter((id) => !listed.has(id));
  return taxa.length ? [...sets, { title: t`From the vasculum`, week: null, taxa }] : sets;
}
