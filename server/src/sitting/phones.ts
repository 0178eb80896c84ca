import type { SentAnswers } from '@hurrow/contract/sitting';
import type { Db } from '../db/index.ts';
import * as quizQueries from '../quizzes/queries.ts';

/** Off by less than so many seconds, a clock is noted as right. */
const RIGHT_ENOUGH = 120;

/** What was noted by this process: of one phone it is noted anew only when something has changed. */
const noted = new Set<string>();
const MOST = 5000;

/**
 * Notes which phone a student answers from, and how far its clock is off, so that the instructor learns of a phone that is lent, of a code that
 * is used on two, and of a clock that is wrong.
 */
export async function notePhones(
  db: Db,
  quizIds: ReadonlySet<string>,
  studentId: string,
  { phone, sentAt }: SentAnswers,
): Promise<void> {
  if (!phone) return;
  const ahead = sentAt ? Math.round((Date.parse(sentAt) - Date.now()) / 1000) : 0;
  const off = Math.abs(ahead) < RIGHT_ENOUGH ? null : ahead;
  for (const quizId of quizIds) {
    const key = `${quizId} ${studentId} ${phone} ${off === null ? 'right' : 'wrong'}`;
    if (noted.has(key)) continue;
    await quizQueries.notePhone(db, quizId, studentId, { phone, off, at: new Date() });
    if (noted.size >= MOST) noted.clear();
    noted.add(key);
  }
}
