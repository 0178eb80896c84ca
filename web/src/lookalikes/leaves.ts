import type { LeafCondition } from '@hurrow/core/view';
import { counted } from '@hurrow/core/words';

/** What a date leaves open, and what is taken for it: “About 15 Oct 12 of 42 trees may still be in leaf or bare; every figure is over both.” */
export function leavesInWords(
  open: number,
  of: number,
  date: string,
  leaves: LeafCondition | undefined,
): string {
  const taken = {
    either: 'every figure is over both',
    on: 'here they are taken to be in leaf',
    off: 'here they are taken to be bare',
  }[leaves ?? 'either'];
  return `About ${date} ${open} of ${counted(of, 'tree')} may be in leaf or bare; ${taken}.`;
}
