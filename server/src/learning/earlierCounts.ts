import type { ClassCounts } from '@hurrow/contract/learning';
import type { Course } from '@hurrow/contract/courses';
import type { Db } from '../db/index.ts';
import { keyOf } from '../workedOut/key.ts';
import { keepWorkedOut, workedOut } from '../workedOut/queries.ts';
import * as queries from './queries.ts';
import { countedAnswers, countsOf } from './record.ts';

/** Changes with how answers are counted. */
const COUNTED = 1;

/**
 * Counts of earlier classes, quiz by quiz. They hardly ever change, and are counted once for all that they rest on: answers, stations and
 * rulings.
 */
export async function countsOfEarlier(db: Db, courses: readonly Course[]): Promise<ClassCounts[]> {
  const ids = courses.map(({ id }) => id);
  const states = new Map(
    (await queries.statesOfCourses(db, ids)).map(({ courseId, state }) => [courseId, state]),
  );
  const keyed = courses.map((course) => ({
    course,
    key: keyOf('counts', COUNTED, course, states.get(course.id)),
  }));
  const kept = await workedOut<ClassCounts>(
    db,
    keyed.map(({ key }) => key),
  );
  const all: ClassCounts[] = [];
  for (const { course, key } of keyed) {
    const counts = kept.get(key) ?? countsOf(course, await countedAnswers(db, course.id));
    if (!kept.has(key)) await keepWorkedOut(db, new Map([[key, counts]]));
    all.push(counts);
  }
  return all;
}
