import { plural, t } from '@lingui/core/macro';
import type { LeafCondition } from '@hurrow/core/view';

/** What a date leaves open, and what is taken for it: “About 15 Oct 12 of 42 trees may still be in leaf or bare; figures are over both, a key is for the likelier.” */
export function leavesInWords(
  open: number,
  of: number,
  date: string,
  leaves: LeafCondition | undefined,
): string {
  const taken = {
    either: t`figures are over both, a key is for the likelier`,
    on: t`here they are taken to be in leaf`,
    off: t`here they are taken to be bare`,
  }[leaves ?? 'either'];
  return t`About ${date} ${open} of ${plural(of, { one: '# tree', other: '# trees' })} may be in leaf or bare; ${taken}.`;
}
