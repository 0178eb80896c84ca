import { dateOfDay } from '@hurrow/core/season';
import { writtenAs } from '../language/inWords.ts';

const HALF_A_YEAR = 183 * 24 * 3600_000;

/**
 * The day of the calendar that a day of the year is, in the year in which it is nearest to a day.
 *
 * @example
 * isoNear(5, '2026-12-20'); // '2027-01-05'
 */
export function isoNear(day: number, today: string): string {
  const date = dateOfDay(day);
  const year = Number(today.slice(0, 4));
  const two = (n: number) => String(n).padStart(2, '0');
  const at = (of: number) => `${of}-${two(date.month)}-${two(date.day)}`;
  const apart = (of: number) => Math.abs(Date.parse(at(of)) - Date.parse(today));
  return at([year - 1, year + 1].find((of) => apart(of) < HALF_A_YEAR && apart(of) < apart(year)) ?? year);
}

/** A clock time on a day as a moment, where the browser stands: `momentOf('2026-10-16', '14:30')`. */
export const momentOf = (day: string, clock: string): Date => new Date(`${day}T${clock}:00`);

/** A moment as the clock shows it: “18:04”. */
export const clockOf = (at: Date | string | null): string =>
  at === null
    ? '–'
    : new Date(at).toLocaleTimeString(writtenAs('en-GB'), { hour: '2-digit', minute: '2-digit' });

const DAY = 24 * 3600_000;

/**
 * Now, as the phone's clock has it; on the day that Hurrow takes for today where the phone's is wrong by more than a day.
 * As long as Hurrow has not said which day it is (''), the phone is believed.
 *
 * @example
 * nowOn('2026-10-15', new Date('2026-11-28T16:30:00Z')).toISOString(); // '2026-10-15T16:30:00.000Z'
 */
export function nowOn(today: string, phone: Date): Date {
  if (today === '') return phone;
  const apart = Math.abs(Date.parse(`${today}T12:00:00Z`) - phone.getTime());
  return apart <= 1.5 * DAY ? phone : new Date(`${today}${phone.toISOString().slice(10)}`);
}
