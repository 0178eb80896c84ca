import { randomUUID } from 'node:crypto';
import { existsSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { hash } from '@node-rs/argon2';
import { parse } from 'yaml';
import { profilesOf } from '@hurrow/core/library';
import { DEFAULT_MARKING, answerText } from '@hurrow/core/names';
import { freezeStation, type FrozenStation } from '@hurrow/core/quiz';
import { seedOf } from '@hurrow/core/random';
import { qualifierKey } from '@hurrow/core/score';
import { dayOfYear } from '@hurrow/core/season';
import { sampleSpecimen } from '@hurrow/core/specimen';
import { MEDIUM_VIEWS, type Medium, type View } from '@hurrow/core/view';
import { BUILT_IN } from '@hurrow/core/vocabulary';
import * as auth from '@hurrow/server/auth/queries';
import * as courses from '@hurrow/server/courses/queries';
import { migrate, openFolder, type Db } from '@hurrow/server/db';
import * as quizzes from '@hurrow/server/quizzes/queries';
import { receive } from '@hurrow/server/quizzes/receive';
import * as species from '@hurrow/server/species/queries';
import { demoLibrary } from './library.ts';
import { answerOf } from './students.ts';

const SEED = 20261015;

interface CourseFile {
  account: { name: string; email: string };
  library: { name: string };
  course: Omit<Parameters<typeof courses.addCourse>[4], 'marking'> & { code: string };
  sets: { title: string; week: number; taxa: string[] }[];
  students: string[];
  quizzes: { title: string; heldOn: string; state: 'planned' | 'open' | 'closed'; stations: string[] }[];
}

const library = demoLibrary();
const profiles = profilesOf(library, BUILT_IN);
const file = parse(readFileSync(new URL('../course.yaml', import.meta.url), 'utf8')) as CourseFile;

/** A personal code made of the name, so that the demo's cards never change: "AARAV-7K". */
const codeOf = (name: string) => `${name.split(' ')[0]!.toUpperCase()}${(Math.abs(seedOf(name)) % 90) + 10}`;

async function fill(db: Db): Promise<void> {
  const accountId = randomUUID();
  // Nobody knows this password: the demo's people sign in by one click, and only while HURROW_DEMO is set.
  await auth.addAccount(
    db,
    accountId,
    file.account.email,
    file.account.name,
    await hash(randomUUID()),
    'owner',
  );
  const libraryId = randomUUID();
  const { latitude, longitude, elevation } = library.reference;
  await auth.addLibrary(db, libraryId, file.library.name, latitude, longitude, elevation);
  for (const [i, source] of library.sources.entries())
    await auth.addSource(db, libraryId, source.id, source.label, i);
  const revision = await species.addRevision(
    db,
    libraryId,
    accountId,
    new Date('2026-08-20T09:00:00Z'),
    'The demo library',
  );
  for (const { taxon, scores } of library.taxa) {
    const { id, ...record } = taxon;
    await species.addTaxon(db, id, libraryId);
    await species.addTaxonVersion(db, id, revision, record);
    for (const score of scores)
      await species.addScoreVersion(db, {
        taxonId: id,
        characterId: score.characterId,
        qualifierKey: qualifierKey(score.qualifiers),
        sourceId: score.sourceId,
        revision,
        qualifiers: score.qualifiers,
        value: score.value,
        note: null,
      });
  }
  const courseId = randomUUID();
  await courses.addCourse(db, courseId, libraryId, file.course.code, {
    ...file.course,
    marking: DEFAULT_MARKING,
  });
  for (const [i, set] of file.sets.entries()) {
    const setId = randomUUID();
    await courses.addSet(db, setId, courseId, i, set.title, set.week);
    for (const [place, taxonId] of set.taxa.entries())
      await courses.addCourseTaxon(db, courseId, taxonId, setId, place);
  }
  const students = file.students.map((name) => ({ id: randomUUID(), name }));
  for (const student of students)
    await courses.addStudent(db, student.id, courseId, student.name, codeOf(student.name));
  const taught = file.sets
    .flatMap((set) => set.taxa)
    .map((id) => profiles.find(({ taxon }) => taxon.id === id)!);

  for (const quiz of file.quizzes) {
    const quizId = randomUUID();
    await quizzes.addQuiz(db, quizId, courseId, quiz.title, quiz.heldOn);
    const stations: { id: string; frozen: FrozenStation }[] = [];
    for (const [i, line] of quiz.stations.entries()) {
      const [taxonId, how] = line.split(' ') as [string, string];
      const medium: Medium = how === 'leaf' ? 'photo' : (how as Medium);
      const view: View = {
        ...MEDIUM_VIEWS[medium],
        day: dayOfYear(quiz.heldOn),
        qualifiers: { plantAge: 'mature' },
      };
      const station = {
        id: randomUUID(),
        quiz_id: quizId,
        position: i + 1,
        taxon_id: taxonId,
        medium,
        view,
        seed: seedOf(SEED, quiz.title, i) & 0x7fffffff,
      };
      await quizzes.addStation(db, station);
      if (quiz.state === 'planned') continue;
      const frozen = freezeStation({ taxonId, medium, view }, station.seed, {
        revision,
        list: taught,
        vocabulary: BUILT_IN,
        marking: DEFAULT_MARKING,
        units: file.course.units,
        reference: library.reference,
        site: file.course,
      });
      await quizzes.freeze(db, station.id, frozen);
      stations.push({ id: station.id, frozen });
    }
    if (quiz.state === 'planned') continue;
    await quizzes.markOpened(db, quizId, new Date(`${quiz.heldOn}T16:00:00Z`));
    if (quiz.state === 'open') continue;
    await quizzes.setState(db, quizId, 'closed');
    await quizzes.setReleased(db, quizId, true);
    let wrong = 0;
    for (const [s, student] of students.entries())
      for (const [i, { id, frozen }] of stations.entries()) {
        const truth = taught.find(({ taxon }) => taxon.id === frozen.truth)!;
        const traits = frozen.traits ?? sampleSpecimen(truth, BUILT_IN, frozen.view, frozen.seed);
        const answer = answerOf(s, i, truth, traits, taught, frozen.view, seedOf(SEED, quiz.title));
        if (answerText(answer).split(' ')[0]?.[0] !== truth.taxon.genus[0]) wrong += 1;
        await receive(
          db,
          student.id,
          {
            id: randomUUID(),
            stationId: id,
            answer,
            device: 'paper',
            sequence: 1,
            writtenAt: `${quiz.heldOn}T17:00:00.000Z`,
          },
          accountId,
        );
      }
    console.log(`${quiz.title}: ${students.length * stations.length} answers, ${wrong} of another genus`);
  }
}

const folder = process.argv[2] ?? fileURLToPath(new URL('../data/', import.meta.url));
const packed = fileURLToPath(new URL('../../server/dist/empty-store.tar.gz', import.meta.url));
rmSync(folder, { recursive: true, force: true });
const db = await openFolder(folder, existsSync(packed) ? packed : undefined);
await migrate(db);
await db.transaction(fill);
await db.close();
writeFileSync(
  join(folder, 'complete'),
  `A student signs in by hand with course code ${file.course.code} and personal code ${codeOf(file.students[0]!)}.\n`,
);
