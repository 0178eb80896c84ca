import type { Result } from '@hurrow/contract/sitting';
import { commonName, scientificName } from '@hurrow/core/taxon';
import { notFound, Problem } from '../api/problem.ts';
import { type Db } from '../db/index.ts';
import { marksOf } from '../quizzes/marking.ts';
import * as quizQueries from '../quizzes/queries.ts';

/** A student's own result, station by station. Throws (403) until it is released. */
export async function resultOf(db: Db, quizId: string, courseId: string, studentId: string): Promise<Result> {
  const quiz = await quizQueries.quiz(db, quizId);
  if (!quiz || quiz.courseId !== courseId) throw notFound('quiz');
  if (quiz.state !== 'closed' || !quiz.released)
    throw new Problem(403, 'Your instructor has not released this result yet. Look again later.');
  const { stations, answers } = await marksOf(db, quiz);
  const counted = stations.filter((station) => !station.voided && station.frozen);
  const rows = counted.map((station) => {
    const answer = answers.find((entry) => entry.stationId === station.id && entry.studentId === studentId);
    const truth = station.frozen!.list.find((taxon) => taxon.id === station.frozen!.truth)!;
    const { points: full } = station.frozen!.marking;
    const policy = station.frozen!.marking.policy;
    const outOf =
      policy === 'common'
        ? full.name
        : full.genus +
          (policy === 'genus' ? 0 : full.epithet) +
          (policy === 'binomialFamily' ? full.family : 0);
    return {
      position: station.position,
      written: answer ? [answer.text, answer.written.family].filter(Boolean).join(', ') : '',
      points: answer?.mark.points ?? 0,
      outOf,
      truth: policy === 'common' ? commonName(truth) : scientificName(truth),
      latin: policy !== 'common',
      family: policy === 'binomialFamily' ? truth.family : null,
      remarks: (answer?.mark.parts ?? [])
        .filter((part) => part.remark !== 'right')
        .map((part) => `${part.part}: ${part.remark}`),
    };
  });
  return {
    title: quiz.title,
    points: rows.reduce((sum, row) => sum + row.points, 0),
    outOf: rows.reduce((sum, row) => sum + row.outOf, 0),
    rows,
  };
}
