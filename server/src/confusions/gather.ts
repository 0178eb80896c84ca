import { createHash } from 'node:crypto';
import { earlierClasses } from './earlier.ts';
import { answerId, MODEL_VERSION, type GivenAnswer, type Unnamed } from '@hurrow/core/confusion';
import { calledOf } from '@hurrow/core/names';
import { isPrompted } from '@hurrow/core/station';
import type { Course } from '@hurrow/contract/courses';
import type { Db } from '../db/index.ts';
import type { MarkedAnswer } from '@hurrow/contract/quizzes';
import { marksOfAll } from '../quizzes/marking.ts';
import { readInNotebooks, readInSorts, toldInPracticeOf } from './noted.ts';
import { quizStates, type StationRow } from '../quizzes/queries.ts';
import { committedLibrary } from '../library/committed.ts';
import type { Scores } from '@hurrow/contract/confusions';
import type { ClassInput } from './classReport.ts';

export interface Gathered {
  input: ClassInput;
  /** Hash of all the report depends on: equal inputs, equal report. */
  key: string;
}

/** All that the report on a course is computed from: counted stations as frozen, their marked answers, what was noted and sorted, and the library. */
export async function gather(db: Db, course: Course, scores: Scores, withEarlier = true): Promise<Gathered> {
  const quizzes = (await quizStates(db, course.id)).filter((row) => row.state !== 'planned');
  const { library: now } = await committedLibrary(db);
  const input: ClassInput = {
    stations: [],
    answers: [],
    seen: [],
    wentBy: [],
    prompted: [],
    libraries: [],
    site: siteOf(course),
  };
  for (const { quiz, ...marks } of await marksOfAll(db, quizzes)) {
    const counted = new Map<string, StationRow>();
    for (const station of marks.stations) {
      if (!station.frozen || station.voided || station.leftOut) continue;
      counted.set(station.id, station);
      // What is asked besides names says what is seen, and nothing of what is taken for what.
      if (station.frozen.question) continue;
      const { truth, view, list, revision, choices } = station.frozen;
      input.stations.push({
        id: station.id,
        quizId: quiz.id,
        truth,
        view,
        // Where four names were to choose from, no other could be given.
        options: choices ?? list.map(({ id }) => id),
        libraryKey: String(scores === 'then' ? revision : now.revision),
      });
    }
    for (const answer of marks.answers) {
      const station = counted.get(answer.stationId);
      if (!station) continue;
      const { studentId, stationId } = answer;
      const { question } = station.frozen!;
      if (question) {
        const { kind, about: characterId, right, items = [] } = question;
        const said = answer.written.said;
        const called = said ? calledOf(said, items.length) : [];
        called.forEach((state, i) => {
          if (state) input.seen.push({ characterId, stationId, studentId, right: [right[i]!], said: state });
        });
        if (kind === 'state' && said) input.seen.push({ characterId, stationId, studentId, right, said });
        continue;
      }
      for (const { characterId, right } of station.frozen!.asks ?? []) {
        const said = answer.written.seen?.[characterId];
        if (said) input.seen.push({ characterId, stationId, studentId, right, said });
      }
      const offered = station.frozen!.wentBy;
      if (answer.told.length && offered)
        input.wentBy.push({
          studentId,
          stationId,
          offered,
          told: answer.told.filter((id) => offered.includes(id)),
        });
      const named = namedBy(answer, station);
      if (!named) continue;
      const { prompt: characterId, truth } = station.frozen!;
      // Whoever wrote on paper was told nothing.
      if (characterId && answer.by === 'student')
        input.prompted.push({
          characterId,
          stationId,
          prompted: isPrompted(stationId, studentId),
          right: named === truth,
        });
      input.answers.push({ answerId: answerId(answer), studentId, stationId, named });
    }
  }
  const sorted = await readInSorts(db, course.id);
  input.seen.push(...(await readInNotebooks(db, course)), ...sorted.seen);
  input.wentBy.push(...(await toldInPracticeOf(db, course.id)), ...sorted.wentBy);
  for (const key of new Set(input.stations.map(({ libraryKey }) => libraryKey)))
    input.libraries.push({ key, library: (await committedLibrary(db, Number(key))).library });
  const earlier = withEarlier ? await earlierClasses(db, course) : undefined;
  if (earlier) input.earlier = earlier;
  const { libraries, ...rest } = input;
  const source = JSON.stringify([MODEL_VERSION, now.id, libraries.map(({ key }) => key), rest]);
  return { input, key: createHash('sha256').update(source).digest('hex') };
}

const siteOf = ({ latitude, longitude, elevation }: Course) => ({ latitude, longitude, elevation });

/** What an answer comes to for the model; undefined while it waits for the instructor's ruling. */
function namedBy({ mark }: MarkedAnswer, station: StationRow): GivenAnswer['named'] | undefined {
  const { how, taxonId, genus } = mark.resolution;
  if (taxonId) return taxonId;
  if (how === 'ambiguous') return undefined;
  if (how === 'blank') return 'blank';
  if (how !== 'genus') return 'off the list' satisfies Unnamed;
  const { truth, list, marking } = station.frozen!;
  const right = list.find(({ id }) => id === truth)?.genus === genus;
  // Where the genus is all that is asked for, it names the tree.
  if (right && marking.policy === 'genus') return truth;
  return (right ? 'right genus only' : 'wrong genus only') satisfies Unnamed;
}
