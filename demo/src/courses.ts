import type { Contest } from '@hurrow/contract/contests';
import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { parse } from 'yaml';
import type { EntryBody, Strokes } from '@hurrow/contract/notebook';
import type { OwnPhrase } from '@hurrow/core/notebook';
import type { ProfiledTaxon } from '@hurrow/core/evidence';
import type { Library } from '@hurrow/core/library';
import {
  DEFAULT_MARKING,
  answerText,
  type Answer,
  type AnswerPart,
  type NamingPolicy,
} from '@hurrow/core/names';
import { freezeStation, type FrozenStation } from '@hurrow/core/station';
import { seedOf } from '@hurrow/core/random';
import { dayOfYear } from '@hurrow/core/season';
import { sampleSpecimen } from '@hurrow/core/specimen';
import { MEDIUM_VIEWS, type Medium, type View } from '@hurrow/core/view';
import { BUILT_IN } from '@hurrow/core/vocabulary';
import { setContest } from '@hurrow/server/contests/queries';
import * as courses from '@hurrow/server/courses/queries';
import { addReteaching } from '@hurrow/server/confusions/queries';
import type { Db } from '@hurrow/server/db';
import * as sorts from '@hurrow/server/sorts/queries';
import * as notebook from '@hurrow/server/notebook/queries';
import * as quizzes from '@hurrow/server/quizzes/queries';
import { wholeAnswerKey } from '@hurrow/server/quizzes/marking';
import { receive } from '@hurrow/server/quizzes/receive';
import { weekOf } from '@hurrow/core/term';
import { fillMiniLesson, fillPractice } from './practice.ts';
import { answerOf, retaughtBy, seenBy, sureOf, toldBy } from './students.ts';

const SEED = 20261015;

interface QuizFile {
  title: string;
  heldOn: string;
  state: 'planned' | 'open' | 'closed';
  /** Taxon and medium of each station, and what it asks to be seen: "abies-grandis cutting asks needle.bands". */
  stations: string[];
  /** Numbers of the stations that ask what students went by. */
  wentByAt?: number[];
  /** Students who were not there. */
  absent?: string[];
  /** What it goes by as a contest, with who competes for whom: “Alders, junior: [Abel Frost, …]”. */
  contest?: Omit<Contest, 'entries'> & { teams: Record<string, string[]> };
  /** Answers whose points were changed by hand, and why. */
  regraded?: {
    student: string;
    station: number;
    points: Partial<Record<AnswerPart, number>>;
    reason: string;
  }[];
}

export interface CourseFile extends Omit<Parameters<typeof courses.addCourse>[4], 'marking'> {
  code: string;
  policy: NamingPolicy;
  sets: { title: string; week: number; taxa: string[] }[];
  students: string[];
  quizzes: QuizFile[];
  /** What students noted at trees; what they chose as "bark.surface papery". */
  notebook?: {
    tags: Record<string, string>;
    phrases: OwnPhrase[];
    entries: (Omit<EntryBody, 'chosen' | 'drawing'> & {
      student: string;
      chosen: string[];
      drawing?: Strokes;
    })[];
  };
  /** Pairs that were taught again on a day. */
  retaught?: { pair: [string, string]; on: string }[];
  /** From and to which day the class practiced on its phones. */
  practiced?: { from: string; to: string };
  /** A mini-lesson, and how many students of the list it was sent to. */
  sent?: { pair: [string, string]; on: string; students: number };
}

export interface DemoFile {
  accounts: { name: string; email: string; role: 'owner' | 'instructor' | 'assistant' }[];
  library: { name: string };
  courses: CourseFile[];
}

/** The demo's people and courses as written in `demo/course.yaml`. */
export const demoFile = (): DemoFile =>
  parse(readFileSync(new URL('../course.yaml', import.meta.url), 'utf8')) as DemoFile;

/** A personal code made of the name, so that the demo's cards never change: "AARAV71". */
export const codeOf = (name: string) =>
  `${name.split(' ')[0]!.toUpperCase()}${(Math.abs(seedOf(name)) % 90) + 10}`;

/** What the library holds, for filling a course from it. */
export interface Ground {
  libraryId: string;
  accountId: string;
  revision: number;
  reference: Library['reference'];
  profiles: readonly ProfiledTaxon[];
}

/** Writes one course with its sets, students, quizzes and the answers of its students; returns its id. */
export async function fillCourse(db: Db, file: CourseFile, ground: Ground): Promise<string> {
  const courseId = randomUUID();
  const marking = { ...DEFAULT_MARKING, policy: file.policy };
  await courses.addCourse(db, courseId, ground.libraryId, file.code, { ...file, marking });
  for (const [i, set] of file.sets.entries()) {
    const setId = randomUUID();
    await courses.addSet(db, setId, courseId, i, set.title, set.week);
    for (const [place, taxonId] of set.taxa.entries())
      await courses.addCourseTaxon(db, courseId, taxonId, setId, place);
  }
  const students = file.students.map((name) => ({ id: randomUUID(), name }));
  for (const student of students)
    await courses.addStudent(db, student.id, courseId, student.name, codeOf(student.name));
  await fillNotebook(db, courseId, file, students);
  for (const { pair, on } of file.retaught ?? []) {
    const [a, b] = [...pair].sort() as [string, string];
    await addReteaching(db, courseId, { a, b, taughtOn: on }, ground.accountId);
  }
  if (file.practiced) {
    const { latitude, longitude, elevation } = file;
    await fillPractice(db, {
      students,
      taughtBy: (day) => taughtBy(file, ground, weekOf(file.startsOn, day)),
      reference: ground.reference,
      site: { latitude, longitude, elevation },
      ...file.practiced,
    });
  }
  for (const quiz of file.quizzes) {
    const stations = await setQuiz(db, courseId, file, quiz, ground);
    const { contest } = quiz;
    if (contest && stations[0]) await setContest(db, stations[0].quizId, entriesOf(contest, students));
    if (quiz.state === 'closed') await answerQuiz(db, file, quiz, students, stations, ground);
  }
  if (file.sent)
    await fillMiniLesson(db, courseId, file.sent, students.slice(0, file.sent.students), ground.accountId);
  return courseId;
}

/** A contest of the demo with its entries by student. */
function entriesOf(
  { teams, ...rules }: NonNullable<QuizFile['contest']>,
  students: readonly { id: string; name: string }[],
): Contest {
  const entries: Contest['entries'] = {};
  for (const [of, names] of Object.entries(teams)) {
    const [team, division] = of.split(', ') as [string, string];
    for (const { id } of students.filter(({ name }) => names.includes(name)))
      entries[id] = { team, division };
  }
  return { ...rules, entries };
}

async function fillNotebook(
  db: Db,
  courseId: string,
  { notebook: held }: CourseFile,
  students: readonly { id: string; name: string }[],
): Promise<void> {
  if (!held) return;
  for (const [tag, taxonId] of Object.entries(held.tags)) await notebook.setTag(db, courseId, tag, taxonId);
  // A bag of twigs to sort, a number tied to each: two of every tree that carries a tag.
  const cut = Object.values(held.tags).flatMap((taxonId) => [taxonId, taxonId]);
  await sorts.fillBag(
    db,
    courseId,
    cut.map((taxonId, i) => ({ tag: String(i + 1), taxonId })),
  );
  await notebook.setPhrases(db, courseId, held.phrases);
  for (const [i, { student, chosen, drawing = [], ...entry }] of held.entries.entries()) {
    const studentId = students.find(({ name }) => name === student)!.id;
    const meanings = chosen.map((text) => {
      const [characterId, state] = text.split(' ');
      return { characterId: characterId!, state: state! };
    });
    const at = new Date(Date.parse(`${entry.day}T15:00:00Z`) + i * 60_000);
    const whose = { id: randomUUID(), courseId, studentId };
    await notebook.writeEntry(db, whose, { ...entry, chosen: meanings, drawing }, false, at);
  }
}

/** What an instructor gave an answer by hand, if `course.yaml` says so. */
async function regrade(
  db: Db,
  quiz: QuizFile,
  student: { id: string; name: string },
  given: { position: number; stationId: string; truth: string; answer: Answer },
  ground: Ground,
): Promise<void> {
  const found = quiz.regraded?.find(
    ({ student: name, station }) => name === student.name && station === given.position,
  );
  const row = found && (await quizzes.station(db, given.stationId));
  if (!found || !row) return;
  await quizzes.addRuling(
    db,
    row.courseId,
    {
      truth: given.truth,
      answerKey: wholeAnswerKey(given.answer),
      countsAs: given.truth,
      studentId: student.id,
      stationId: given.stationId,
      points: found.points,
      reason: found.reason,
    },
    false,
    ground.accountId,
    new Date(`${quiz.heldOn}T20:00:00Z`),
  );
}

const profileOf = (ground: Ground, id: string): ProfiledTaxon => {
  const found = ground.profiles.find(({ taxon }) => taxon.id === id);
  if (!found) throw new Error(`course.yaml names ${id}, which is not in demo/library`);
  return found;
};

/** The taxa of the sets taught up to and including a week. */
function taughtBy(file: CourseFile, ground: Ground, week: number): ProfiledTaxon[] {
  return file.sets
    .filter((set) => set.week <= week)
    .flatMap((set) => set.taxa)
    .map((id) => profileOf(ground, id));
}

interface SetStation {
  quizId: string;
  id: string;
  frozen: FrozenStation;
}

async function setQuiz(
  db: Db,
  courseId: string,
  file: CourseFile,
  quiz: QuizFile,
  ground: Ground,
): Promise<SetStation[]> {
  const quizId = randomUUID();
  await quizzes.addQuiz(db, quizId, courseId, quiz.title, quiz.heldOn);
  const set: SetStation[] = [];
  const offered = new Map<string, number>();
  for (const [i, line] of quiz.stations.entries()) {
    const [taxonId, how, , ...asks] = line.split(' ') as [string, string, ...string[]];
    const wentBy = (quiz.wentByAt ?? []).includes(i + 1);
    const medium: Medium = how === 'leaf' ? 'photo' : (how as Medium);
    const view: View = {
      ...MEDIUM_VIEWS[medium],
      day: dayOfYear(quiz.heldOn),
      qualifiers: { plantAge: 'mature' },
    };
    const station = {
      id: randomUUID(),
      quizId,
      position: i + 1,
      taxonId: profileOf(ground, taxonId).taxon.id,
      medium,
      view,
      seed: seedOf(SEED, quiz.title, i) & 0x7fffffff,
      asks,
      wentBy,
      prompt: null,
      choose: false,
      question: null,
    };
    await quizzes.addStation(db, station);
    if (quiz.state === 'planned') continue;
    const frozen = freezeStation({ taxonId, medium, view, asks, wentBy }, station.seed, {
      offered,
      revision: ground.revision,
      list: taughtBy(file, ground, Infinity),
      vocabulary: BUILT_IN,
      marking: { ...DEFAULT_MARKING, policy: file.policy },
      units: file.units,
      reference: ground.reference,
      site: file,
    });
    for (const id of frozen.wentBy ?? []) offered.set(id, (offered.get(id) ?? 0) + 1);
    await quizzes.freeze(db, station.id, frozen, 'demo');
    set.push({ id: station.id, quizId, frozen });
  }
  if (quiz.state === 'planned') return set;
  await quizzes.markOpened(db, quizId, new Date(`${quiz.heldOn}T16:00:00Z`));
  if (quiz.state === 'open') return set;
  await quizzes.setState(db, quizId, 'closed');
  await quizzes.setReleased(db, quizId, { released: true, releasedTo: [], regradeUntil: null });
  return set;
}

async function answerQuiz(
  db: Db,
  file: CourseFile,
  quiz: QuizFile,
  students: readonly { id: string; name: string }[],
  stations: readonly SetStation[],
  ground: Ground,
): Promise<void> {
  const days = (Date.parse(quiz.heldOn) - Date.parse(file.startsOn)) / 86_400_000;
  const week = Math.floor(days / 7) + 1;
  const known = taughtBy(file, ground, week);
  let wrong = 0;
  for (const [s, student] of students.entries()) {
    if (quiz.absent?.includes(student.name)) continue;
    for (const [i, { id, frozen }] of stations.entries()) {
      const truth = profileOf(ground, frozen.truth);
      const traits = frozen.traits ?? sampleSpecimen(truth, BUILT_IN, frozen.view, frozen.seed);
      const seed = seedOf(SEED, file.code, quiz.title);
      const { answer: named, lookedAt } = answerOf(s, i, truth, traits, known, frozen.view, {
        seed,
        retaught: retaughtBy(quiz.heldOn),
        policy: file.policy,
      });
      const sure = frozen.wentBy && sureOf(s, i, lookedAt, { seed });
      const answer: Answer = {
        ...named,
        ...(frozen.asks ? { seen: seenBy(s, i, frozen.asks, { seed }) } : {}),
        ...(frozen.wentBy ? { wentBy: toldBy(s, i, frozen.wentBy, lookedAt, { seed }) } : {}),
        ...(sure ? { sure } : {}),
      };
      if (answerText(answer).split(' ')[0]?.[0] !== truth.taxon.genus[0]) wrong += 1;
      await receive(
        db,
        student.id,
        [
          {
            id: randomUUID(),
            stationId: id,
            answer,
            device: 'paper',
            sequence: 1,
            writtenAt: `${quiz.heldOn}T17:00:00.000Z`,
          },
        ],
        { by: 'paper', accountId: ground.accountId },
      );
      await regrade(
        db,
        quiz,
        student,
        { position: i + 1, stationId: id, truth: frozen.truth, answer },
        ground,
      );
    }
  }
  console.log(
    `${file.code}, ${quiz.title}: ${students.length * stations.length} answers` +
      (file.policy === 'common' ? '' : `, ${wrong} of another genus`),
  );
}
