import * as sorts from '@hurrow/contract/sorts';
import type { SortBody } from '@hurrow/contract/sorts';
import { badInput, notFound } from '../api/problem.ts';
import { say } from '../api/say.ts';
import { serve } from '../api/route.ts';
import { courseOf } from '../courses/course.ts';
import { openNow } from '../courses/openNow.ts';
import { sets } from '../courses/queries.ts';
import type { Db } from '../db/index.ts';
import { isUuid } from '../db/uuid.ts';
import { committedLibrary } from '../library/committed.ts';
import * as queries from './queries.ts';
import { readSort } from './reading.ts';

/** A student keeps so many tables; a class so many more. */
const MOST_OF_STUDENT = 100;
const MOST_OF_CLASS = 1000;

export const sortRoutes = [
  serve(sorts.own, async ({ db, who }) => ({
    sorts: (await queries.sortsOfStudent(db, who!.studentId!)).map(queries.keptSort),
  })),
  serve(sorts.keep, async ({ db, params, body, who, now }) => {
    const course = await courseOf(db, who!.courseId!);
    if (!(await openNow(db, course)).includes('lessons')) throw notFound('table');
    const { id: courseId } = course;
    await keep(db, { id: params.sortId, courseId, studentId: who!.studentId! }, body, now);
  }),
  serve(sorts.ofCourse, async ({ db, params }) => {
    const { id } = await courseOf(db, params.courseId);
    return {
      sorts: (await queries.sortsOfCourse(db, id)).map((row) => ({ ...queries.keptSort(row), who: row.who })),
    };
  }),
  serve(sorts.keepForClass, async ({ db, params, body: { who, ...body }, now }) => {
    const { id: courseId } = await courseOf(db, params.courseId);
    await keep(db, { id: params.sortId, courseId, who }, body, now);
  }),
  serve(sorts.bag, async ({ db, params, who }) => {
    const course = await courseOf(db, params.courseId);
    if (
      who!.role === 'student' &&
      (who!.courseId !== course.id || !(await openNow(db, course)).includes('lessons'))
    )
      throw notFound('bag');
    return { twigs: await queries.bagOf(db, course.id) };
  }),
  serve(sorts.fillBag, async ({ db, params, body: { twigs } }) => {
    const { id } = await courseOf(db, params.courseId);
    await refuseStrays(
      db,
      id,
      twigs.map(({ taxonId }) => taxonId),
    );
    await queries.fillBag(db, id, twigs);
  }),
];

/** Throws where a tree is not on the list of the course. */
async function refuseStrays(db: Db, courseId: string, taxa: readonly string[]): Promise<void> {
  const listed = new Set((await sets(db, courseId)).flatMap((set) => set.taxa));
  const stray = taxa.find((id) => !listed.has(id));
  if (stray)
    throw badInput(say`“${stray}” is not on the list of the course any more. Lay out other specimens.`);
}

async function keep(
  db: Db,
  whose: Parameters<typeof queries.keepSort>[1],
  body: SortBody,
  now: Date,
): Promise<void> {
  if (!isUuid(whose.id)) throw badInput(say`A table needs an id of its own. Lay out another one.`);
  await refuseStrays(db, whose.courseId, [...body.taxa, ...(body.real ?? []).map(({ taxonId }) => taxonId)]);
  const library = await committedLibrary(db);
  const read = readSort(library, body);
  await db.transaction(async (tx) => {
    const there = await queries.sortOf(tx, whose.id);
    if (there && (there.courseId !== whose.courseId || there.studentId !== (whose.studentId ?? null)))
      throw notFound('table');
    const held = there
      ? 0
      : (whose.studentId
          ? await queries.sortsOfStudent(tx, whose.studentId)
          : await queries.sortsOfCourse(tx, whose.courseId)
        ).length;
    if (held >= (whose.studentId ? MOST_OF_STUDENT : MOST_OF_CLASS))
      throw badInput(say`There is no room for more tables in this course. This one stays on the page.`);
    await queries.keepSort(tx, whose, { body, revision: library.library.revision, ...read, at: now });
  });
}
