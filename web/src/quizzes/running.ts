import { plural, t } from '@lingui/core/macro';
import type { Running } from '@hurrow/contract/running';
import { isTrouble, troubleInWords, type LiveStation } from '@hurrow/core/marks';
import type { Counts } from './live.ts';
import { listInWords } from '../language/inWords.ts';

/** How a station stands while a quiz runs. */
export const stationStands = (counts: Counts | undefined, stationId: string): LiveStation => ({
  answered: counts?.answered[stationId] ?? 0,
  right: counts?.right[stationId] ?? 0,
});

/**
 * What is wrong at a station, as far as the answers so far say; nothing where all is as expected, or what to expect is not known yet.
 *
 * @param expected share of right answers, 0 to 1
 */
export const troubleAt = (stands: LiveStation, expected: number | undefined): string =>
  expected !== undefined && isTrouble(stands, expected) ? troubleInWords(stands, expected) : '';

/** `clockOffInWords(-7200)` is “2 hours slow”. */
export function clockOffInWords(seconds: number): string {
  const off = Math.abs(seconds);
  const much =
    off >= 3300
      ? plural(Math.round(off / 3600), { one: '# hour', other: '# hours' })
      : plural(Math.round(off / 60), { one: '# minute', other: '# minutes' });
  return `${much} ${seconds < 0 ? t`slow` : t`fast`}`;
}

/**
 * What the phones of a quiz tell, a sentence each: phones that were lent, codes that were used on two, clocks that are wrong. Nothing is lost by
 * any of it; whose answers are whose is for the instructor to know.
 *
 * @param nameOf a student's name
 */
export function phonesInWords({ students, lent }: Running, nameOf: (id: string) => string): string[] {
  return [
    ...lent.map(
      (ids) => t`${listInWords(ids.map(nameOf))} answered from one phone: ask whether it was lent.`,
    ),
    ...students
      .filter(({ phones }) => phones > 1)
      .map(
        ({ studentId, phones }) =>
          t`${nameOf(studentId)} answered from ${phones} phones: where their answers differ, you decide under Mark.`,
      ),
    ...students.flatMap(({ studentId, clockOff }) =>
      clockOff === null
        ? []
        : t`The phone of ${nameOf(studentId)} has its clock ${clockOffInWords(clockOff)}: the order of its answers holds all the same.`,
    ),
  ];
}
