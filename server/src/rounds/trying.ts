import * as contract from '@hurrow/contract/tries';
import { MOST_TRIES, type Try } from '@hurrow/contract/tries';
import { answerText, markAnswer } from '@hurrow/core/names';
import { markQuestion, questionAt, saidTo } from '@hurrow/core/station';
import { badInput } from '../api/problem.ts';
import { say } from '../api/say.ts';
import { serve } from '../api/route.ts';
import { courseOf } from '../courses/course.ts';
import { sets } from '../courses/queries.ts';
import { courseLibrary } from '../library/committed.ts';
import * as queries from '../quizzes/queries.ts';
import { fixedStations } from '../quizzes/fixed.ts';
import { plannedOf } from '../quizzes/opening.ts';
import { quizOf } from '../quizzes/quiz.ts';

export const tryRoutes = [
  serve(contract.ofQuiz, async ({ db, params }) => ({
    tries: await queries.triesOf(db, (await quizOf(db, params.quizId)).id),
  })),
  serve(contract.sit, async ({ db, params, body, who, now }) => {
    const quiz = await quizOf(db, params.quizId);
    const { marking, ...course } = await courseOf(db, quiz.courseId);
    const stations = await fixedStations(db, quiz.id);
    const read = await courseLibrary(db, course);
    const taught = (await sets(db, course.id)).flatMap(({ taxa }) => taxa);
    const profiles = read.profilesOf(taught);
    const list = profiles.map(({ taxon }) => taxon);
    const ground = {
      list: profiles,
      vocabulary: read.vocabulary,
      reference: read.library.reference,
      site: course,
      units: course.units,
      marking,
    };
    const missed = body.answers.flatMap(({ position, answer }): Try['missed'] => {
      const station = stations.find((each) => each.position === position);
      if (!station)
        throw badInput(say`This quiz has no station ${position}. Open it again: its plan has changed.`);
      const truth = list.find(({ id }) => id === station.taxonId);
      const asked = questionAt(plannedOf(station), station.seed, ground);
      if (asked?.ok && truth) {
        const question = station.frozen?.question ?? asked.value;
        const { points, outOf } = markQuestion(answer, { question, truth, list, marking });
        return points === outOf
          ? []
          : [{ position, taxonId: station.taxonId, written: saidTo(question, answer) }];
      }
      const named = truth && markAnswer(answer, truth, list, marking).resolution.taxonId;
      return named === station.taxonId
        ? []
        : [{ position, taxonId: station.taxonId, written: answerText(answer) }];
    });
    const made: Try = {
      by: who!.name,
      at: now.toISOString(),
      answered: body.answers.length,
      missed: missed.sort((x, y) => x.position - y.position),
    };
    await db.transaction(async (tx) => {
      await queries.quizForUpdate(tx, quiz.id);
      await queries.setTries(
        tx,
        quiz.id,
        [made, ...(await queries.triesOf(tx, quiz.id))].slice(0, MOST_TRIES),
      );
    });
    return made;
  }),
];
