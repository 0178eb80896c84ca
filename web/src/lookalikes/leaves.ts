import type { LeafCondition } from '@hurrow/core/view';
import { counted } from '@hurrow/core/words';

/** What a date leaves open, and what is taken for it: “About 15 Oct 12 of 42 trees may still be in leaf or bare; figures are over both, a key is for the likelier.” */
export function leavesInWords(
  open: number,
  of: number,
  date: string,
  leaves: LeafCondition | undefined,
): string {
  const taken = {
    either: 'figures are over both, a key is for the likelier',
    on: 'here they are taken to be in leaf',
    off: 'here they are taken to be bare',
  }[leaves ?? 'either'];
  return `About ${date} ${open} of ${counted(of, 'tree')} may be in leaf or bare; ${taken}.`;
}
