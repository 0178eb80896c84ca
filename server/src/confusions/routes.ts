import { STAFF, route } from '../api/route.ts';
import { courseOf } from '../courses/routes.ts';
import { students } from '../courses/queries.ts';
import { marksOf } from '../quizzes/marking.ts';
import { quizzesOfCourse } from '../quizzes/queries.ts';

export const confusionRoutes = [
  route<unknown, { courseId: string }>({
    method: 'get',
    path: '/api/courses/{courseId}/confusions',
    summary: 'Every marked answer of a course with its station’s view: what the confusions are counted from.',
    allow: STAFF,
    handle: async ({ db, params }) => {
      const course = await courseOf(db, params.courseId);
      const quizzes = (await quizzesOfCourse(db, course.id)).filter((row) => row.state !== 'planned');
      const names = new Map((await students(db, course.id)).map((student) => [student.id, student.name]));
      const stations = [];
      const answers = [];
      for (const quiz of quizzes) {
        const marks = await marksOf(db, quiz);
        for (const station of marks.stations) {
          if (!station.frozen) continue;
          stations.push({
            id: station.id,
            quizId: quiz.id,
            position: station.position,
            truth: station.frozen.truth,
            view: station.frozen.view,
            medium: station.medium,
            revision: station.frozen.revision,
            voided: station.voided,
          });
        }
        for (const answer of marks.answers)
          answers.push({
            responseId: answer.responseId,
            studentId: answer.studentId,
            student: names.get(answer.studentId) ?? 'a former student',
            stationId: answer.stationId,
            quizId: quiz.id,
            written: answer.text,
            how: answer.mark.resolution.how,
            named: answer.mark.resolution.taxonId ?? null,
            points: answer.mark.points,
            outOf: answer.mark.outOf,
          });
      }
      return {
        quizzes: quizzes.map((quiz) => ({
          id: quiz.id,
          title: quiz.title,
          heldOn: quiz.held_on,
          state: quiz.state,
        })),
        stations,
        answers,
      };
    },
  }),
];
