import * as contract from '@hurrow/contract/rounds';
import { USUAL_ROUNDS } from '@hurrow/contract/rounds';
import { timetable } from '@hurrow/core/rotation';
import { choicesOf, questionAt } from '@hurrow/core/station';
import { badInput } from '../api/problem.ts';
import { say } from '../api/say.ts';
import { serve } from '../api/route.ts';
import { contestOf } from '../contests/queries.ts';
import { courseOf } from '../courses/course.ts';
import { sets, students as studentsOf } from '../courses/queries.ts';
import type { Db } from '../db/index.ts';
import { courseLibrary } from '../library/committed.ts';
import { spokenIn } from '../language/spokenIn.ts';
import { printed } from '../prints/printed.ts';
import type { QuizPrinted } from '../prints/quizPrinted.ts';
import * as queries from '../quizzes/queries.ts';
import type { StationRow } from '../quizzes/queries.ts';
import { plannedOf } from '../quizzes/opening.ts';
import { fixedStations } from '../quizzes/fixed.ts';
import { quizOf } from '../quizzes/quiz.ts';

export const roundRoutes = [
  serve(contract.ofQuiz, async ({ db, params }) => ({
    rounds: (await queries.roundsOf(db, (await quizOf(db, params.quizId)).id)) ?? USUAL_ROUNDS,
  })),
  serve(contract.ring, async ({ db, params, body: { state, clock } }) => {
    const { id } = await quizOf(db, params.quizId);
    const ahead = Date.now() - clock;
    const { since, ...rest } = state;
    await queries.setBell(db, id, since === undefined ? rest : { ...rest, since: since + ahead });
  }),
  serve(contract.change, async ({ db, params, body }) => {
    const { id, courseId } = await quizOf(db, params.quizId);
    const known = new Set((await studentsOf(db, courseId)).map((student) => student.id));
    const of = (ids: readonly string[]) => ids.filter((each) => known.has(each));
    // Who has left the class meanwhile is forgotten.
    await queries.setRounds(db, id, {
      ...body,
      away: of(body.away),
      extra: Object.fromEntries(Object.entries(body.extra).filter(([student]) => known.has(student))),
    });
  }),
  serve(contract.papers, async ({ db, params, query, response }) => {
    const taken = await toPrint(db, params.quizId, query.at);
    response.attachment(`${params.what}.pdf`);
    return printed(query.paper, 'quiz', params.what, taken, query.paper);
  }),
];

/** All that the papers of a quiz are made of. Throws (422) where it has no stations yet. */
async function toPrint(db: Db, quizId: string, at: string): Promise<QuizPrinted> {
  const quiz = await quizOf(db, quizId);
  const course = await courseOf(db, quiz.courseId);
  const stations = await fixedStations(db, quiz.id);
  if (stations.length === 0)
    throw badInput(say`The quiz has no stations yet. Add at least one and save the plan, then print.`);
  const read = await courseLibrary(db, course);
  const taught = (await sets(db, course.id)).flatMap(({ taxa }) => taxa);
  const students = (await studentsOf(db, course.id)).filter(({ nameless }) => !nameless);
  const rounds = (await queries.roundsOf(db, quiz.id)) ?? USUAL_ROUNDS;
  const list = read.profilesOf(taught);
  const ground = { reference: read.library.reference, site: course };
  const { vocabulary } = read;
  const asking = { ...ground, list, vocabulary, marking: course.marking, units: course.units };
  const questionOf = (station: StationRow) => {
    const asked = questionAt(plannedOf(station), station.seed, asking);
    return station.frozen?.question ?? (asked?.ok ? asked.value : undefined);
  };
  const there = students.filter(({ id }) => !rounds.away.includes(id));
  return {
    at,
    course,
    quiz,
    stations: stations.map((station) => {
      const { position, taxonId, view, choose, seed, frozen } = station;
      const asked = questionOf(station);
      const choosing = choose && !asked && taught.includes(taxonId);
      return {
        ...plannedOf(station),
        // Besides another question nothing is asked.
        ...(asked ? { asks: [] } : {}),
        position,
        asked,
        choices:
          frozen?.choices ??
          (choosing ? choicesOf(taxonId, list, vocabulary, view, { ...ground, seed }) : []),
      };
    }),
    list,
    vocabulary: spokenIn(vocabulary, course.namesIn),
    reference: read.library.reference,
    students: there,
    contest: await contestOf(db, quiz.id),
    rounds,
    rotation: timetable(
      rounds,
      students.map(({ id }) => id),
      stations.length,
    ),
  };
}
