import type { Session } from '@hurrow/contract/session';
import type { Who } from '../api/who.ts';
import type { Config } from '../config.ts';
import type { Db } from '../db/index.ts';
import * as queries from './queries.ts';

/** What the pages need to know before anything else. */
export async function sessionState(
  db: Db,
  who: Who | undefined,
  config: Config,
  now: Date,
): Promise<Session> {
  return {
    setupNeeded: (await queries.countAccounts(db)) === 0,
    demo: config.demo,
    institution: config.institution?.name ?? null,
    today: now.toISOString().slice(0, 10),
    who: who
      ? {
          id: who.accountId ?? who.studentId!,
          name: who.name,
          role: who.role,
          ...(who.courseId ? { course: await queries.courseName(db, who.courseId) } : {}),
        }
      : null,
  };
}
