import * as library from '@hurrow/contract/library';
import { search } from '@hurrow/core/library';
import { Problem } from '../api/problem.ts';
import { say } from '../api/say.ts';
import { accountOf, serve } from '../api/route.ts';
import { tagOf, unchanged } from '../api/unchanged.ts';
import { openNow } from '../courses/openNow.ts';
import * as courseQueries from '../courses/queries.ts';
import { courseOf } from '../courses/course.ts';
import type { Db } from '../db/index.ts';
import { committedLibrary, stateOf } from './committed.ts';
import { addTaxon, deleteTaxon, saveBulk, saveTaxon, undoRevision } from './saving.ts';
import { searchIndexOf } from './searching.ts';

export const libraryRoutes = [
  serve(library.state, async ({ db, who }) => {
    const { key, revision } = await stateOf(db);
    const taught = who!.role === 'student' ? await openTaxa(db, who!.courseId!) : [];
    return { revision, tag: tagOf(JSON.stringify([key, taught])) };
  }),
  serve(library.whole, async ({ db, query, who, request, response }) => {
    const text =
      who!.role === 'student'
        ? JSON.stringify(await libraryOfStudent(db, who!.courseId!))
        : textOf((await committedLibrary(db, query.revision)).library);
    const sent = await unchanged(request, response, text);
    if (sent) response.type('application/json').send(sent);
    return undefined;
  }),
  serve(library.addTaxon, ({ db, body, who, now }) =>
    db.transaction((tx) => addTaxon(tx, body, accountOf(who), now)),
  ),
  serve(library.saveTaxon, ({ db, body, params, who, now }) =>
    db.transaction((tx) => saveTaxon(tx, params.taxonId, body, accountOf(who), now)),
  ),
  serve(library.deleteTaxon, ({ db, params, who, now }) =>
    db.transaction((tx) => deleteTaxon(tx, params.taxonId, accountOf(who), now)),
  ),
  serve(library.undo, ({ db, params, who, now }) =>
    db.transaction((tx) => undoRevision(tx, params.revision, accountOf(who), now)),
  ),
  serve(library.saveScores, ({ db, body, who, now }) =>
    db.transaction((tx) => saveBulk(tx, body, accountOf(who), now)),
  ),
  serve(library.search, async ({ db, query }) => ({
    found: search(await searchIndexOf(db), query.q, query.limit),
  })),
];

const texts = new WeakMap<object, string>();

/** A library as it is sent; written out once. */
function textOf(library: object): string {
  const text = texts.get(library) ?? JSON.stringify(library);
  texts.set(library, text);
  return text;
}

/** The taxa that students of a course may look at. Throws (403) where they may not look at any. */
async function openTaxa(db: Db, courseId: string): Promise<string[]> {
  const course = await courseOf(db, courseId);
  if ((await openNow(db, course)).length === 0)
    throw new Problem(403, say`Your instructor has not opened the trees of the course to you.`);
  return (await courseQueries.sets(db, course.id)).flatMap((set) => set.taxa);
}

/** What a student may see of the library: the taught list as it is now. */
async function libraryOfStudent(db: Db, courseId: string) {
  const taught = new Set(await openTaxa(db, courseId));
  const { library } = await committedLibrary(db);
  return { ...library, taxa: library.taxa.filter(({ taxon }) => taught.has(taxon.id) && !taxon.retired) };
}
