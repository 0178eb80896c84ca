import { randomUUID } from 'node:crypto';
import * as courses from '@hurrow/contract/courses';
import { badInput, conflict, notFound } from '../api/problem.ts';
import { say } from '../api/say.ts';
import { serve } from '../api/route.ts';
import { remember, type Db } from '../db/index.ts';
import { quizzesOfCourse } from '../quizzes/queries.ts';
import { theLibrary } from '../library/queries.ts';
import { note } from '../keeping/queries.ts';
import { committedLibrary } from '../library/committed.ts';
import { readableCode } from './codes.ts';
import { openNow } from './openNow.ts';
import { copyLessons, followSets } from '../lessons/following.ts';
import { copyStaff } from '../courseStaff/queries.ts';
import { closedFor } from '../courseStaff/standing.ts';
import { copyNotebookWords } from '../notebook/queries.ts';
import { courseOf } from './course.ts';
import * as queries from './queries.ts';
import { importStudents } from './roster.ts';

async function freeCode(db: Db): Promise<string> {
  for (;;) {
    const code = readableCode(5);
    if (!(await queries.codeTaken(db, code))) return code;
  }
}

export const courseRoutes = [
  serve(courses.all, async ({ db, who }) => {
    const closed = await closedFor(db, who!);
    return (await queries.courses(db)).filter(({ id }) => !closed.has(id));
  }),
  serve(courses.add, async ({ db, body }) => {
    const library = await theLibrary(db);
    if (!library) throw notFound('library');
    const id = randomUUID();
    await queries.addCourse(db, id, library.id, await freeCode(db), body);
    return { id };
  }),
  serve(courses.one, async ({ db, params, who }) => {
    const row = await courseOf(db, params.courseId);
    if (who!.role === 'student') {
      if (who!.courseId !== row.id) throw notFound('course');
      const opens = await openNow(db, row);
      return {
        ...row,
        role: who!.role,
        opens,
        sets: opens.length ? await queries.sets(db, row.id) : [],
        students: [],
        quizzes: [],
      };
    }
    return {
      ...row,
      role: who!.role,
      sets: await queries.sets(db, row.id),
      students: await queries.students(db, row.id),
      quizzes: await remember(db, `counted quizzes ${row.id}`, () => quizzesOfCourse(db, row.id)),
    };
  }),
  serve(courses.change, async ({ db, params, body, who, now }) => {
    const row = await courseOf(db, params.courseId);
    await queries.updateCourse(db, row.id, body);
    await note(db, { who, now }, row.id, say`changed the settings of the course`);
  }),
  serve(courses.changeList, ({ db, params, body }) =>
    db.transaction(async (tx) => {
      const row = await courseOf(tx, params.courseId);
      const library = await committedLibrary(tx);
      const seen = new Set<string>();
      for (const taxonId of body.sets.flatMap((set) => set.taxa)) {
        if (!library.statementsOf(taxonId))
          throw badInput(say`There is no species “${taxonId}” in the library. Add it to the library first.`);
        if (seen.has(taxonId)) throw badInput(say`A species stands in two sets. Keep it in one of them.`);
        seen.add(taxonId);
      }
      const before = await queries.sets(tx, row.id);
      const strange = body.sets.find(({ id }) => id && !before.some((set) => set.id === id));
      if (strange)
        throw badInput(
          say`The set “${strange.title}” was taken off the list meanwhile. Reload the page: what you changed is kept as a draft.`,
        );
      await queries.clearSets(tx, row.id);
      for (const [position, set] of body.sets.entries()) {
        const setId = set.id ?? randomUUID();
        await queries.addSet(tx, setId, row.id, position, set.title, set.week ?? null);
        for (const [place, taxonId] of set.taxa.entries())
          await queries.addCourseTaxon(tx, row.id, taxonId, setId, place);
      }
      await followSets(tx, row.id, before, await queries.sets(tx, row.id));
    }),
  ),
  serve(courses.copy, ({ db, params, body, who, now }) =>
    db.transaction(async (tx) => {
      const { id: from, code: _code, ...row } = await courseOf(tx, params.courseId);
      const library = await theLibrary(tx);
      const id = randomUUID();
      await queries.addCourse(tx, id, library!.id, await freeCode(tx), { ...row, ...body });
      const copied = new Map<string, string>();
      for (const [position, set] of (await queries.sets(tx, from)).entries()) {
        const setId = randomUUID();
        copied.set(set.id, setId);
        await queries.addSet(tx, setId, id, position, set.title, set.week);
        for (const [place, taxonId] of set.taxa.entries())
          await queries.addCourseTaxon(tx, id, taxonId, setId, place);
      }
      await copyLessons(tx, from, id, copied);
      await copyNotebookWords(tx, from, id);
      await copyStaff(tx, from, id);
      await note(tx, { who, now }, id, say`copied the course from “${row.name}”`);
      return { id };
    }),
  ),
  serve(courses.importStudents, ({ db, params, body, who, now }) =>
    db.transaction(async (tx) =>
      importStudents(tx, await courseOf(tx, params.courseId), body, (what) =>
        note(tx, { who, now }, params.courseId, what),
      ),
    ),
  ),
  serve(courses.setNeeds, ({ db, params, body, who, now }) =>
    db.transaction(async (tx) => {
      const row = await courseOf(tx, params.courseId);
      if ((await queries.setNeeds(tx, row.id, params.studentId, body.needs)).length === 0)
        throw notFound('student');
      // The history says that, and of nobody what.
      await note(tx, { who, now }, row.id, say`changed what is done otherwise for a student`);
    }),
  ),
  serve(courses.renewCode, ({ db, params, who, now }) =>
    db.transaction(async (tx) => {
      const row = await courseOf(tx, params.courseId);
      const students = await queries.students(tx, row.id);
      const student = students.find(({ id }) => id === params.studentId);
      if (!student) throw notFound('student');
      const code = readableCode(6);
      if (students.some((other) => other.code === code))
        throw conflict(say`That code is taken by chance. Press once more.`);
      await queries.setCode(tx, student.id, code);
      await note(tx, { who, now }, row.id, say`gave a student a new personal code`);
      return { code };
    }),
  ),
  serve(courses.takeOff, async ({ db, params, who, now }) => {
    const row = await courseOf(db, params.courseId);
    if (await queries.studentHasWork(db, params.studentId))
      throw conflict(
        say`This student has answered a quiz, noted or sorted something and stays on the list, so that nothing of it is lost.`,
        undefined,
        'hasAnswers',
      );
    await queries.removeStudent(db, row.id, params.studentId);
    await note(db, { who, now }, row.id, say`took a student without answers off the class list`);
  }),
];
