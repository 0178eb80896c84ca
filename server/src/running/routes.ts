import type { Said } from '@hurrow/contract/problem';
import * as contract from '@hurrow/contract/running';
import type { Attendance } from '@hurrow/contract/running';
import { notFound } from '../api/problem.ts';
import { say } from '../api/say.ts';
import { serve } from '../api/route.ts';
import * as courseQueries from '../courses/queries.ts';
import { note } from '../keeping/queries.ts';
import * as quizQueries from '../quizzes/queries.ts';
import { answersCame } from '../quizzes/changes.ts';
import { quizOf } from '../quizzes/quiz.ts';
import { toldByPhones } from './phones.ts';
import * as queries from './queries.ts';

const SAID: Record<Attendance, (title: string) => Said> = {
  there: (title) => say`said: a student was there at “${title}”`,
  absent: (title) => say`said: a student was absent from “${title}”`,
  excused: (title) => say`said: a student was excused from “${title}”`,
};

export const runningRoutes = [
  serve(contract.running, async ({ db, params }) => {
    const { id, courseId } = await quizOf(db, params.quizId);
    const { of, lent } = toldByPhones(await quizQueries.phonesOf(db, id));
    const said = new Map((await queries.studentsOfQuiz(db, id)).map((row) => [row.studentId, row]));
    return {
      students: (await courseQueries.students(db, courseId)).map((student) => {
        const { was = 'there' as const, reopened = false } = said.get(student.id) ?? {};
        const { phones = 0, clockOff = null } = of.get(student.id) ?? {};
        return { studentId: student.id, was, reopened, phones, clockOff };
      }),
      lent,
      stations: await queries.notesOf(db, id),
    };
  }),
  serve(contract.student, async ({ db, params, body, who, now }) => {
    const quiz = await quizOf(db, params.quizId);
    const student = (await courseQueries.students(db, quiz.courseId)).find(
      ({ id }) => id === params.studentId,
    );
    if (!student) throw notFound('student');
    await queries.setStudent(db, quiz.id, { studentId: student.id, ...body });
    const said = SAID[body.was](quiz.title);
    await note(db, { who, now }, quiz.courseId, body.reopened ? say`${said}, and may answer still` : said);
    answersCame(db, [quiz.id]);
  }),
  serve(contract.noteStation, async ({ db, params, body, who, now }) => {
    const station = await quizQueries.station(db, params.stationId);
    if (station?.quizId !== params.quizId) throw notFound('station');
    await queries.addNote(db, station.id, { note: body.note, by: who!.name, at: now.toISOString() });
    const { title } = await quizOf(db, station.quizId);
    await note(
      db,
      { who, now },
      station.courseId,
      say`noted at station ${station.position} of “${title}”: ${body.note}`,
    );
  }),
  serve(contract.moveStation, async ({ db, params, body, who, now }) => {
    const station = await quizQueries.station(db, params.stationId);
    if (station?.quizId !== params.quizId) throw notFound('station');
    const { title } = await quizOf(db, station.quizId);
    const said = body.stands ? `Moved: ${body.stands}` : 'Back at its place';
    await db.transaction(async (tx) => {
      await queries.moveStation(tx, station.id, body.stands);
      await queries.addNote(tx, station.id, { note: said, by: who!.name, at: now.toISOString() });
      await note(
        tx,
        { who, now },
        station.courseId,
        body.stands
          ? say`moved station ${station.position} of “${title}”: ${body.stands}`
          : say`moved station ${station.position} of “${title}” back`,
      );
    });
    answersCame(db, [station.quizId]);
  }),
];
