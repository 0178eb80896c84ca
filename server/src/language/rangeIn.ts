import { RANGE_IN_ENGLISH, type RangeSaying } from '@hurrow/core/range';
import type { Tongue } from './tongue.ts';

/**
 * How a range is said on paper.
 *
 * @example
 * rangeInWords(range, rangeIn(tongueOf('de'))); // 'Heimisch in 7 Zellen, …'
 */
export const rangeIn = ({ isEnglish, say, word, number }: Tongue): RangeSaying =>
  isEnglish
    ? RANGE_IN_ENGLISH
    : {
        part: (status, cells, area, north, east) =>
          say`${word(status)} in ${cells} cells, about ${number(area)} km², ${north}, ${east}`,
        at: (degrees) => say`at ${degrees}`,
        between: (from, to) => say`from ${from} to ${to}`,
        sides: { north: say`N`, south: say`S`, east: say`E`, west: say`W` },
        none: say`No range is recorded.`,
      };
