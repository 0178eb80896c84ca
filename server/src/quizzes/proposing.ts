import * as assembly from '@hurrow/contract/assembly';
import { expectedAndCame, kindOf } from '@hurrow/core/assembly';
import { dayOfYear } from '@hurrow/core/season';
import { badInput } from '../api/problem.ts';
import { say } from '../api/say.ts';
import { serve } from '../api/route.ts';
import { courseOf } from '../courses/course.ts';
import { committedLibrary, courseLibrary } from '../library/committed.ts';
import type { QuizMade, QuizTask, ReadTask } from '../lessons/worker.ts';
import { inThread } from '../thread.ts';
import { classSoFar, heldStations } from './classSoFar.ts';

export const proposalRoute = serve(assembly.propose, async ({ db, params, body }) => {
  const { heldOn, wishes, forms } = body;
  const course = await courseOf(db, params.courseId);
  const stray = Object.keys(wishes.kinds).find((kind) => !kindOf(kind));
  if (stray) throw badInput(say`There is no kind of station “${stray}”. Choose one of those offered.`);
  const so = await classSoFar(db, course);
  const read = await courseLibrary(db, course);
  const { library, vocabulary } = read;
  const list = read.profilesOf(so.sets.flatMap(({ taxa }) => taxa)).filter(({ taxon }) => !taxon.retired);
  if (list.length < 2)
    throw badInput(say`Put two species or more on the list first: a quiz asks which of them it is.`);
  const { latitude, longitude, elevation } = course;
  const site = { latitude, longitude, elevation };
  const day = dayOfYear(heldOn);
  const task: QuizTask = {
    kind: 'quiz',
    key: JSON.stringify([library.id, library.revision, day, site, list.map(({ taxon }) => taxon.id)]),
    ground: { list, vocabulary, day, reference: library.reference, site },
    wishes,
    so,
    forms,
  };
  const made = await inThread<QuizMade>('teachingWorker', task);
  if (!made.assembly)
    throw badInput(
      say`Nothing on the list can be shown so that day and be told by it. Choose other sets or kinds of station, another day, or allow less fair ones.`,
    );
  const { candidates, notPossible } = made;
  return {
    forms: made.assembly.forms,
    relaxed: made.assembly.relaxed,
    worth: made.assembly.worth,
    bound: made.assembly.bound,
    candidates,
    notPossible,
    so,
  };
});

export const cameRoute = serve(assembly.came, async ({ db, params }) => {
  const { id, latitude, longitude, elevation } = await courseOf(db, params.courseId);
  const read = await committedLibrary(db);
  const { library, vocabulary } = read;
  const all = await heldStations(db, id);
  const taxa = read.profilesOf([...new Set(all.flatMap(({ list }) => list.map((taxon) => taxon.id)))]);
  const known = new Set(taxa.map(({ taxon }) => taxon.id));
  // What the library does not know any more cannot be read again.
  const held = all.filter(({ taxonId }) => known.has(taxonId));
  const task: ReadTask = {
    kind: 'read',
    key: JSON.stringify([library.id, library.revision, latitude, longitude, elevation]),
    taxa,
    vocabulary,
    options: { reference: library.reference, site: { latitude, longitude, elevation } },
    stations: held.map(({ taxonId, view, list }) => ({ taxonId, view, list: list.map((taxon) => taxon.id) })),
  };
  const made =
    held.length > 0 ? await inThread<{ right: number; beginner: number }[]>('teachingWorker', task) : [];
  return {
    quizzes: expectedAndCame(
      held.map(({ quizId, taxonId, answers, correct }, i) => ({
        quizId,
        taxonId,
        answers,
        correct,
        ...made[i]!,
      })),
    ),
  };
});
