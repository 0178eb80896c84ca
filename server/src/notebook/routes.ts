import * as notebook from '@hurrow/contract/notebook';
import { MOST_PICTURES } from '@hurrow/contract/limits';
import { MOST_ENTRIES, type EntryBody } from '@hurrow/contract/notebook';
import type { Meaning } from '@hurrow/core/notebook';
import { SHOWN_TITLES } from '@hurrow/core/view';
import { stateOf } from '@hurrow/core/vocabulary';
import { badInput, notFound, Problem } from '../api/problem.ts';
import { say, word } from '../api/say.ts';
import { serve } from '../api/route.ts';
import type { Who } from '../api/who.ts';
import { standingIn } from '../courseStaff/standing.ts';
import { courseOf } from '../courses/course.ts';
import { openNow } from '../courses/openNow.ts';
import { students } from '../courses/queries.ts';
import type { Db } from '../db/index.ts';
import { isUuid } from '../db/uuid.ts';
import { committedLibrary } from '../library/committed.ts';
import { taxonNow } from '../library/queries.ts';
import { encodePhoto } from '../photos/encode.ts';
import * as queries from './queries.ts';
import { tagsKnown } from './tags.ts';

export const notebookRoutes = [
  serve(notebook.own, async ({ db, who }) => {
    await refuseClosed(db, who!);
    return { entries: await queries.entriesOfStudent(db, who!.studentId!) };
  }),
  serve(notebook.write, async ({ db, params, body, who, now }) => {
    await refuseClosed(db, who!);
    const { courseId, studentId } = who!;
    await write(db, { id: params.entryId, courseId: courseId!, studentId: studentId! }, body, false, now);
  }),
  serve(notebook.erase, async ({ db, params, who }) => {
    await ownEntry(db, params.entryId, who!);
    await queries.eraseEntry(db, params.entryId);
  }),
  serve(notebook.addPicture, async ({ db, body, params, who, now }) => {
    if (!isUuid(params.pictureId)) throw badInput(say`A picture needs an id of its own. Add it once more.`);
    const { pictures } = await ownEntry(db, params.entryId, who!);
    const there = await queries.pictureOf(db, params.pictureId);
    if (there) {
      if (there.entryId !== params.entryId) throw notFound('entry');
      return;
    }
    if (pictures >= MOST_PICTURES)
      throw badInput(say`An entry has ${MOST_PICTURES} pictures at most. Write another entry for more.`);
    const { sizes } = await encodePhoto(Buffer.isBuffer(body) ? body : Buffer.alloc(0));
    const { bytes } = sizes.find(({ size }) => size === 'screen')!;
    await queries.addPicture(db, params.pictureId, params.entryId, bytes, now);
  }),
  serve(notebook.picture, async ({ db, params, who }) => {
    const found = await queries.pictureOf(db, params.pictureId);
    if (!found || (who!.role === 'student' && found.studentId !== who!.studentId)) throw notFound('picture');
    await standingIn(db, who!, { courseId: found.courseId });
    return Buffer.from(found.bytes);
  }),
  serve(notebook.ofCourse, async ({ db, params }) => {
    const { id } = await courseOf(db, params.courseId);
    return {
      entries: await queries.entriesOfCourse(db, id),
      tags: await tagsKnown(db, id),
      phrases: await queries.phrasesOf(db, id),
    };
  }),
  serve(notebook.writeFor, async ({ db, params, body: { studentId, ...entry }, now }) => {
    const { id: courseId } = await courseOf(db, params.courseId);
    if (!(await students(db, courseId)).some(({ id }) => id === studentId)) throw notFound('student');
    await write(db, { id: params.entryId, courseId, studentId }, entry, true, now);
  }),
  serve(notebook.teach, async ({ db, params, body }) => {
    const { id } = await courseOf(db, params.courseId);
    await checkStates(db, body.phrases);
    await queries.setPhrases(db, id, body.phrases);
  }),
  serve(notebook.nameTag, async ({ db, params, body }) => {
    const { id } = await courseOf(db, params.courseId);
    if (body.taxonId !== null && !(await taxonNow(db, body.taxonId))) throw notFound('species');
    await db.transaction((tx) => queries.setTag(tx, id, body.tag, body.taxonId));
  }),
];

/** Throws (404) where the course keeps no notebook now. */
async function refuseClosed(db: Db, { courseId }: Who): Promise<void> {
  const course = await courseOf(db, courseId!);
  if (!(await openNow(db, course)).includes('notebook'))
    throw new Problem(
      404,
      say`This course keeps no notebook now. What you wrote stays on this phone; ask your instructor.`,
    );
}

/** An entry of the one who calls. Throws (404) where it is another's, or none. */
async function ownEntry(db: Db, entryId: string, who: Who) {
  await refuseClosed(db, who);
  const found = await queries.ownerOf(db, entryId);
  if (found?.studentId !== who.studentId) throw notFound('entry');
  return found!;
}

async function write(
  db: Db,
  whose: { id: string; courseId: string; studentId: string },
  entry: EntryBody,
  onPaper: boolean,
  now: Date,
): Promise<void> {
  if (!isUuid(whose.id)) throw badInput(say`An entry needs an id of its own. Write it once more.`);
  if (!entry.words && entry.chosen.length === 0 && entry.drawing.length === 0)
    throw badInput(
      say`Nothing is noted of the ${word(SHOWN_TITLES[entry.organ])} yet. Write what you see, draw it, or choose what it looks like.`,
    );
  await checkStates(db, entry.chosen);
  await db.transaction(async (tx) => {
    const there = await queries.ownerOf(tx, whose.id);
    if (there && there.studentId !== whose.studentId) throw notFound('entry');
    if (!there && (await queries.countOf(tx, whose.studentId)) >= MOST_ENTRIES)
      throw badInput(say`A notebook has room for ${MOST_ENTRIES} entries. Take one out that is not needed.`);
    await queries.writeEntry(tx, whose, entry, onPaper, now);
  });
}

async function checkStates(db: Db, meanings: readonly Meaning[]): Promise<void> {
  const { vocabulary } = await committedLibrary(db);
  const stray = meanings.find(({ characterId, state }) => {
    const character = vocabulary.get(characterId);
    return !character || !stateOf(character, state);
  });
  if (stray)
    throw badInput(say`“${stray.state}” is no state of “${stray.characterId}”. Choose one of those offered.`);
}
