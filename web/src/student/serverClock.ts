import { plural, t } from '@lingui/core/macro';
/**
 * How far the server's clock is ahead of this phone's, in milliseconds: what it said against the middle of the time that asking took
 * (Cristian 1989). Right to half of that time.
 *
 * @param server what the server's clock said, milliseconds
 * @param asked when it was asked, by this phone's clock
 * @param heard when the answer came, by this phone's clock
 * @example
 * aheadBy(10_500, 4_900, 5_100); // 5_500
 */
export const aheadBy = (server: number, asked: number, heard: number): number =>
  Math.round(server - (asked + heard) / 2);

/** Off by less than this, a clock is right enough for people. */
const RIGHT_ENOUGH = 2 * 60_000;

/**
 * What is said of a phone whose clock is wrong; nothing of one that is right.
 *
 * @example
 * clockInWords(3 * 3600_000); // 'This phone’s clock is 3 hours slow. Nothing is lost by it: times are taken from the server.'
 */
export function clockInWords(ahead: number): string {
  const off = Math.abs(ahead);
  if (off < RIGHT_ENOUGH) return '';
  const hours = off < 55 * 60_000 ? 0 : Math.round(off / 3600_000);
  const much =
    hours >= 1
      ? `${plural(hours, { one: 'an hour', other: '# hours' })}`
      : t`${Math.round(off / 60_000)} minutes`;
  return t`This phone’s clock is ${much} ${ahead > 0 ? t`slow` : t`fast`}. Nothing is lost by it: times are taken from the server.`;
}
