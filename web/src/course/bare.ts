import { plural, t } from '@lingui/core/macro';
import { isDeciduous, type ProfiledTaxon } from '@hurrow/core/evidence';
import { hopkinsDelay, partPresent, shiftCalendar, type Place } from '@hurrow/core/season';
import { commonName } from '@hurrow/core/taxon';
import { listInWords } from '../language/inWords.ts';

/**
 * The trees that have no leaves on a day of the year at a site.
 *
 * @param reference where their calendars were recorded
 */
export function bareOn(
  list: readonly ProfiledTaxon[],
  day: number,
  reference: Place,
  site: Place,
): ProfiledTaxon[] {
  const delay = hopkinsDelay(reference, site);
  return list.filter(
    (profiled) =>
      !partPresent('leaves', shiftCalendar(profiled.taxon.calendar, delay), isDeciduous(profiled), day),
  );
}

/** "quaking aspen and paper birch have", with a count where the list is long. */
export function bareInWords(bare: readonly ProfiledTaxon[]): string {
  const named = bare.slice(0, bare.length > 5 ? 3 : 5).map(({ taxon }) => commonName(taxon));
  const more = bare.length - named.length;
  const who = listInWords(more > 0 ? [...named, t`${more} more of the list`] : named);
  return t`${who} ${plural(bare.length, { one: 'has', other: 'have' })}`;
}
