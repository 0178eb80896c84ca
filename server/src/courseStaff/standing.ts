import type { Role } from '@hurrow/contract/endpoint';
import { notFound } from '../api/problem.ts';
import type { Who } from '../api/who.ts';
import type { Db } from '../db/index.ts';
import { closedTo, namedFor } from './queries.ts';

/** Where a call is about: parts of its address. */
export interface About {
  courseId?: string;
  quizId?: string;
}

/**
 * Who calls, as they stand in the course that a call is about: who leads it is an instructor there, who helps an assistant, whatever they are
 * elsewhere. The owner, students, and everyone in a course that names nobody stay what they are. Throws (404) where a course names others.
 *
 * @example
 * (await standingIn(db, assistant, { courseId })).role; // 'instructor', where she leads it
 */
export async function standingIn(db: Db, who: Who, about: About): Promise<Who> {
  if (who.role === 'owner' || who.role === 'student') return who;
  if (about.courseId === undefined && about.quizId === undefined) return who;
  const named = await namedFor(db, about);
  if (named.length === 0) return who;
  const own = named.find(({ accountId }) => accountId === who.accountId);
  if (!own) throw notFound(about.courseId === undefined ? 'quiz' : 'course');
  const role: Role = own.role === 'leads' ? 'instructor' : 'assistant';
  return { ...who, role };
}

/** Courses that someone who teaches may not see: a question that is asked of many at once. */
export const closedFor = async (db: Db, who: Who): Promise<ReadonlySet<string>> =>
  who.role === 'owner' || !who.accountId ? new Set() : closedTo(db, who.accountId);
