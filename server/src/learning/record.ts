import type { Course } from '@hurrow/contract/courses';
import type { QuizHead } from '@hurrow/contract/quizzes';
import type { ClassCounts, LearnedAnswer, QuizCounts, StudentLearning } from '@hurrow/contract/learning';
import { weekOf } from '@hurrow/core/term';
import type { Db } from '../db/index.ts';
import { marksOfAll, ofNames } from '../quizzes/marking.ts';
import { quizStates } from '../quizzes/queries.ts';

/** One answer that counts, with what its station showed. */
export interface CountedAnswer extends LearnedAnswer {
  quiz: QuizHead;
  studentId: string;
  how: string;
  points: number;
  by: string;
  /** What was read where it was asked for. */
  seen: { characterId: string; right: boolean }[];
  wentBy: { offered: string[]; told: string[] } | undefined;
}

/** Every answer of a course at stations that count and ask for a name, quiz by quiz. Its rows are shared by all who ask: not to be altered. */
export async function countedAnswers(db: Db, courseId: string): Promise<CountedAnswer[]> {
  const quizzes = (await quizStates(db, courseId)).filter(({ state }) => state !== 'planned');
  return (await marksOfAll(db, quizzes)).flatMap(countedOfQuiz);
}

type QuizMarks = Awaited<ReturnType<typeof marksOfAll>>[number];
/** Rows of quizzes whose marks are as they were, with what else they rest on. */
const known = new WeakMap<QuizMarks['answers'], { under: string; rows: CountedAnswer[] }>();

function countedOfQuiz(marks: QuizMarks): CountedAnswer[] {
  const counting = marks.stations.map(({ id, voided, leftOut }) => `${id} ${voided} ${leftOut}`);
  const under = JSON.stringify([marks.quiz, counting]);
  const held = known.get(marks.answers);
  if (held?.under === under) return held.rows;
  const rows = rowsOf(ofNames(marks));
  known.set(marks.answers, { under, rows });
  return rows;
}

function rowsOf({ quiz, stations, answers }: QuizMarks): CountedAnswer[] {
  const byId = new Map(stations.map((station) => [station.id, station]));
  return answers.flatMap((answer): CountedAnswer[] => {
    const station = byId.get(answer.stationId);
    if (!station?.frozen || station.voided || station.leftOut) return [];
    const { asks = [], wentBy: offered, truth, drawing } = station.frozen;
    const { told } = answer;
    return [
      {
        quiz,
        quizId: quiz.id,
        stationId: station.id,
        position: station.position,
        medium: station.medium,
        truth,
        named: answer.mark.resolution.taxonId ?? null,
        written: answer.text,
        pictured: drawing !== null,
        studentId: answer.studentId,
        how: answer.mark.resolution.how,
        points: answer.mark.points,
        by: answer.by,
        seen: asks.flatMap(({ characterId, right }) => {
          const said = answer.written.seen?.[characterId];
          return said ? [{ characterId, right: right.includes(said) }] : [];
        }),
        wentBy:
          told.length && offered ? { offered, told: told.filter((id) => offered.includes(id)) } : undefined,
      },
    ];
  });
}

/** What one student answered, with the class's shares. */
export function recordOf(
  all: readonly CountedAnswer[],
  studentId: string,
): Pick<StudentLearning, 'quizzes' | 'answers' | 'seen' | 'wentBy' | 'classTold' | 'classRight'> {
  const own = all.filter((answer) => answer.studentId === studentId);
  const classTold: StudentLearning['classTold'] = {};
  const classRight: StudentLearning['classRight'] = {};
  for (const { quizId, truth, named, wentBy } of all) {
    const count = (classRight[quizId] ??= { asked: 0, right: 0 });
    count.asked += 1;
    if (named === truth) count.right += 1;
    for (const id of wentBy?.offered ?? []) {
      const told = (classTold[id] ??= { offered: 0, told: 0 });
      told.offered += 1;
      if (wentBy!.told.includes(id)) told.told += 1;
    }
  }
  const quizzes = new Map(all.map(({ quiz }) => [quiz.id, quiz]));
  return {
    quizzes: [...quizzes.values()].map(({ id, title, heldOn }) => ({ id, title, heldOn })),
    answers: own.map(({ quizId, stationId, position, medium, truth, named, written, pictured }) => ({
      quizId,
      stationId,
      position,
      medium,
      truth,
      named,
      written,
      pictured,
    })),
    seen: own.flatMap(({ seen }) => seen),
    wentBy: own.flatMap(({ wentBy }) => wentBy ?? []),
    classTold,
    classRight,
  };
}

/** Counts of each quiz of a class. */
export function countsOf(course: Course, all: readonly CountedAnswer[]): ClassCounts {
  const byQuiz = new Map<string, CountedAnswer[]>();
  for (const answer of all) {
    const held = byQuiz.get(answer.quizId);
    if (held) held.push(answer);
    else byQuiz.set(answer.quizId, [answer]);
  }
  return {
    courseId: course.id,
    name: course.name,
    startsOn: course.startsOn,
    quizzes: [...byQuiz.values()]
      .map((answers) => quizCounts(course, answers))
      .sort((x, y) => x.heldOn.localeCompare(y.heldOn)),
  };
}

function quizCounts({ startsOn }: Course, answers: readonly CountedAnswer[]): QuizCounts {
  const { id, title, heldOn } = answers[0]!.quiz;
  const taxa: QuizCounts['taxa'] = {};
  const mixed = new Map<string, number>();
  const characters: QuizCounts['characters'] = {};
  const ofCharacter = (characterId: string) =>
    (characters[characterId] ??= { offered: 0, told: 0, asked: 0, right: 0 });
  for (const { truth, named, wentBy, seen } of answers) {
    const count = (taxa[truth] ??= { asked: 0, right: 0 });
    count.asked += 1;
    if (named === truth) count.right += 1;
    else if (named) {
      const key = [truth, named].sort().join(' ');
      mixed.set(key, (mixed.get(key) ?? 0) + 1);
    }
    for (const characterId of wentBy?.offered ?? []) {
      ofCharacter(characterId).offered += 1;
      if (wentBy!.told.includes(characterId)) ofCharacter(characterId).told += 1;
    }
    for (const { characterId, right } of seen) {
      ofCharacter(characterId).asked += 1;
      if (right) ofCharacter(characterId).right += 1;
    }
  }
  return {
    id,
    title,
    heldOn,
    week: weekOf(startsOn, heldOn),
    asked: answers.length,
    right: answers.filter(({ truth, named }) => named === truth).length,
    taxa,
    pairs: [...mixed].map(([key, times]) => {
      const [a, b] = key.split(' ') as [string, string];
      return { a, b, mixed: times, asked: (taxa[a]?.asked ?? 0) + (taxa[b]?.asked ?? 0) };
    }),
    characters,
  };
}
