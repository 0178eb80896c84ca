import { plural, t } from '@lingui/core/macro';
import type { CourseTeacher, Named } from '@hurrow/contract/courseStaff';
import { listInWords } from '../language/inWords.ts';

/** What someone does in a course. */
export type Here = 'no' | 'leads' | 'helps';

export const hereOf = ({ here }: CourseTeacher): Here => here ?? 'no';

/** The teachers with one of them doing something else. */
export const withHere = (
  teachers: readonly CourseTeacher[],
  accountId: string,
  here: Here,
): CourseTeacher[] =>
  teachers.map((teacher) =>
    teacher.accountId === accountId ? { ...teacher, here: here === 'no' ? null : here } : teacher,
  );

/** Those who are named, as they are saved. */
export const namedOf = (teachers: readonly CourseTeacher[]): Named[] =>
  teachers.flatMap(({ accountId, here }) => (here ? [{ accountId, role: here }] : []));

/** Whose the course is, in a sentence. */
export function staffSaid(teachers: readonly CourseTeacher[]): string {
  const named = teachers.filter(({ here }) => here !== null);
  if (named.length === 0)
    return t`Nobody is named: everyone who teaches here sees this course and works in it as they do elsewhere.`;
  const leads = named.filter(({ here }) => here === 'leads').map(({ name }) => name);
  if (leads.length === 0) return t`Somebody has to lead it.`;
  return t`${listInWords(leads)} ${plural(leads.length, { one: 'leads', other: 'lead' })} it. Besides those named, the owner of this Hurrow alone sees it.`;
}
