import { plural, t } from '@lingui/core/macro';
import type { RangeWording } from '@hurrow/core/range';
import { writtenAs } from '../language/inWords.ts';
import { inTongue } from '../language/inTongue.ts';

const written = (n: number) => n.toLocaleString(writtenAs('en-US'));

/** Ranges in the language that is spoken; in English as the heart says them. */
export const RANGE_WORDS: RangeWording = {
  part: (status, cells, area, north, east) =>
    t`${inTongue(status)} in ${plural(cells, { one: '# cell', other: '# cells' })}, about ${written(area)} km², ${north}, ${east}`,
  at: (degrees) => t`at ${degrees}`,
  between: (from, to) => t`from ${from} to ${to}`,
  sides: {
    north: t({ message: 'N', context: 'north' }),
    south: t({ message: 'S', context: 'south' }),
    east: t({ message: 'E', context: 'east' }),
    west: t({ message: 'W', context: 'west' }),
  },
  none: t`No range is recorded.`,
  lower: t`The place lies below the elevations recorded for it.`,
  higher: t`The place lies above the elevations recorded for it.`,
  unknown: (name) => t`No range of ${name} is recorded, so this cannot be said.`,
  yes: (name, status) => t`Yes: ${name} is ${inTongue(status)} here.`,
  holds: (name, status) => t`The range of ${name} holds this place (${inTongue(status)}).`,
  nearly: (name, km) =>
    km === undefined
      ? t`Nearly: the range of ${name} begins close by.`
      : t`Nearly: the range of ${name} begins about ${written(km)} km away.`,
  diedOut: (name) => t`No longer: ${name} has died out here.`,
  no: (name, km) =>
    km === undefined
      ? t`Not recorded: ${name} is known only from where it has died out.`
      : t`Not recorded: the nearest cell of ${name} is about ${written(km)} km away.`,
};
