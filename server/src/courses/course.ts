import type { Course } from '@hurrow/contract/courses';
import { notFound } from '../api/problem.ts';
import type { Db } from '../db/index.ts';
import * as queries from './queries.ts';

/** The course of an address. Throws 404 where there is none. */
export async function courseOf(db: Db, id: string): Promise<Course> {
  const course = await queries.course(db, id);
  if (!course) throw notFound('course');
  return course;
}
