import * as miniLessons from '@hurrow/contract/miniLessons';
import { pairView } from '@hurrow/core/practice';
import { badInput, notFound } from '../api/problem.ts';
import { say } from '../api/say.ts';
import { accountOf, serve } from '../api/route.ts';
import { addReteaching, reteachings, removeReteaching } from '../confusions/queries.ts';
import { courseOf } from '../courses/course.ts';
import { sets, students } from '../courses/queries.ts';
import type { Db } from '../db/index.ts';
import { courseLibrary } from '../library/committed.ts';
import { spokenIn } from '../language/spokenIn.ts';
import { printed } from '../prints/printed.ts';
import * as queries from './queries.ts';

export const miniLessonRoutes = [
  serve(miniLessons.ofCourse, async ({ db, params }) => {
    const { id } = await courseOf(db, params.courseId);
    return { miniLessons: await queries.miniLessonsOf(db, id) };
  }),
  serve(miniLessons.send, async ({ db, params, body, who }) => {
    const course = await courseOf(db, params.courseId);
    const { to, ...lesson } = { ...body, ...inOrder(body) };
    await refuseUntaught(db, course.id, lesson);
    const known = (await students(db, course.id)).filter(({ nameless }) => !nameless).map(({ id }) => id);
    if (to.some((id) => !known.includes(id)))
      throw badInput(say`One of the students is not in this course any more. Choose again.`);
    await db.transaction(async (tx) => {
      if (!(await queries.addMiniLesson(tx, course.id, lesson, accountOf(who)))) return;
      await queries.addStudents(tx, lesson.id, to);
      const { a, b, sentOn: taughtOn } = lesson;
      await addReteaching(
        tx,
        course.id,
        { a, b, taughtOn },
        accountOf(who),
        await taughtTo(tx, course.id, { a, b, taughtOn }, to),
      );
    });
  }),
  serve(miniLessons.takeBack, async ({ db, params }) => {
    const { id } = await courseOf(db, params.courseId);
    await db.transaction(async (tx) => {
      const removed = await queries.removeMiniLesson(tx, id, params.id);
      if (!removed) throw notFound('mini-lesson');
      const { a, b, sentOn: taughtOn } = removed;
      const others = (await queries.miniLessonsOf(tx, id)).filter(
        (each) => each.a === a && each.b === b && each.sentOn === taughtOn,
      );
      const noted = (await reteachings(tx, id)).find(
        (row) => row.a === a && row.b === b && row.taughtOn === taughtOn,
      );
      // That it was taught to the whole class was noted by itself.
      if (noted?.students === null) return;
      await removeReteaching(tx, id, { a, b, taughtOn });
      const to = [...new Set(others.flatMap((each) => each.students.map((student) => student.id)))];
      if (to.length > 0) await addReteaching(tx, id, { a, b, taughtOn }, null, to);
    });
  }),
  serve(miniLessons.opened, async ({ db, params, who, now }) => {
    if (!(await queries.markOpened(db, params.id, who!.studentId!, now))) throw notFound('mini-lesson');
  }),
  serve(miniLessons.print, async ({ db, params, query }) => {
    const course = await courseOf(db, params.courseId);
    const read = await courseLibrary(db, course);
    const { library } = read;
    const vocabulary = spokenIn(read.vocabulary, course.namesIn);
    const taught = (await sets(db, course.id)).flatMap((set) => set.taxa);
    const list = read.profilesOf([...new Set([...taught, params.a, params.b])]);
    const { audience, units } = course;
    const ground = { list, vocabulary, audience, units, reference: library.reference, site: course };
    const view = pairView(ground, params.a, params.b, query.day);
    if (!view)
      throw badInput(
        say`Too little is scored of these two to draw them. Open their profiles and score leaf, twig or bark.`,
      );
    return printed(
      query.paper,
      'miniLesson',
      { list, a: params.a, b: params.b, course: course.name, language: course.namesIn },
      view,
      ground,
    );
  }),
];

/** The pair in the order of the alphabet. */
const inOrder = ({ a, b }: { a: string; b: string }) => (a < b ? { a, b } : { a: b, b: a });

async function refuseUntaught(db: Db, courseId: string, { a, b }: { a: string; b: string }): Promise<void> {
  const taught = (await sets(db, courseId)).flatMap((set) => set.taxa);
  if (!taught.includes(a) || !taught.includes(b))
    throw badInput(say`Both species must be on the course’s list. Choose two that are taught.`);
}

/** Whom a pair was taught to on a day, with those it is sent to now; null where it was noted for the whole class. */
async function taughtTo(
  db: Db,
  courseId: string,
  { a, b, taughtOn }: { a: string; b: string; taughtOn: string },
  to: readonly string[],
): Promise<string[] | null> {
  const before = (await reteachings(db, courseId)).find(
    (row) => row.a === a && row.b === b && row.taughtOn === taughtOn,
  );
  if (before && before.students === null) return null;
  return [...new Set([...(before?.students ?? []), ...to])];
}
