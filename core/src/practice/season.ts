import { isDeciduous, leafyShare, type ProfiledTaxon } from '../evidence/index.ts';
import { partPresent, type Calendar } from '../season/index.ts';

/** So likely a part is there that one meets with it. */
const MET = 0.3;

/**
 * Can what a card shows be met with outdoors on a day? Bark always; leaves and bare twigs in their time; fruit while it hangs or lies.
 *
 * @param kind of the card, as `bareTwig`
 * @param calendar of the tree at the site
 * @param day of the year, 1–366
 * @example
 * inSeason(larch, 'bareTwig', larch.taxon.calendar, 15); // true
 */
export function inSeason(profiled: ProfiledTaxon, kind: string, calendar: Calendar, day: number): boolean {
  const deciduous = isDeciduous(profiled);
  const leafy = leafyShare(calendar, deciduous, { day, organs: ['twig', 'leaf'] });
  switch (kind) {
    case 'leaf':
    case 'leafyTwig':
      return leafy >= MET;
    case 'bareTwig':
      return deciduous && leafy <= 1 - MET;
    case 'fruit':
      return partPresent('fruit', calendar, deciduous, day);
    default:
      return true;
  }
}
