import Joi from 'joi';
import { search } from '@hurrow/core/library';
import { checkScores, qualifierKey, qualifiersInWords, type Score } from '@hurrow/core/score';
import { scientificName } from '@hurrow/core/taxon';
import { listInWords } from '@hurrow/core/view';
import type { Vocabulary } from '@hurrow/core/vocabulary';
import { badInput, conflict, notFound, Problem } from '../api/problem.ts';
import { accountOf, INSTRUCTORS, route, STAFF } from '../api/route.ts';
import { openNow } from '../courses/openNow.ts';
import * as courseQueries from '../courses/queries.ts';
import { courseOf } from '../courses/routes.ts';
import type { Db } from '../db/index.ts';
import { beginChange, nameOfTaxon } from './change.ts';
import { committedLibrary } from './committed.ts';
import * as queries from './queries.ts';
import { addRecord, recordsOfRevision } from './records.ts';
import {
  bulkSchema,
  saveSchema,
  type BulkBody,
  type SaveBody,
  type ScoreChange,
  type TaxonBody,
} from './schema.ts';
import { sameRecord } from './same.ts';
import { searchIndexOf } from './searching.ts';
import { ofTaxon, takeId, writeScores } from './store.ts';

export const libraryRoutes = [
  route<unknown, Record<string, string>, { revision?: number }>({
    method: 'get',
    path: '/api/library',
    summary:
      'The library: taxa with what every source says of them, as now or as at a revision. A student gets the taught list as it is now, if the course opens it.',
    allow: [...STAFF, 'student'],
    query: Joi.object({
      revision: Joi.number()
        .integer()
        .min(0)
        .max(2 ** 31 - 1),
    }),
    handle: async ({ db, query, who }) => {
      if (who!.role !== 'student') return (await committedLibrary(db, query.revision)).library;
      const course = await courseOf(db, who!.courseId!);
      if ((await openNow(db, course)).length === 0)
        throw new Problem(403, 'Your instructor has not opened the trees of the course to you.');
      const { library } = await committedLibrary(db);
      const taught = new Set((await courseQueries.sets(db, course.id)).flatMap((set) => set.taxa));
      return { ...library, taxa: library.taxa.filter(({ taxon }) => taught.has(taxon.id) && !taxon.retired) };
    },
  }),
  route<SaveBody>({
    method: 'post',
    path: '/api/library/taxa',
    summary: 'Adds a taxon with its first scores.',
    allow: INSTRUCTORS,
    body: saveSchema,
    handle: ({ db, body, who, now }) =>
      db.transaction(async (tx) => {
        const held = await queries.theLibrary(tx);
        if (held) await queries.lockLibrary(tx, held.id);
        const { library, vocabulary } = await committedLibrary(tx);
        const name = scientificName(body.taxon);
        if (library.taxa.some(({ taxon }) => scientificName(taxon) === name && !taxon.retired))
          throw conflict(`${name} is in the library already. Open its profile and edit it there.`);
        refuseErrors(body.changes, [], vocabulary);
        const id = takeId(body.taxon, await queries.taxonIds(tx));
        const revision = await queries.addRevision(tx, library.id, accountOf(who), now, `Added ${name}`);
        await queries.addTaxa(tx, library.id, [id]);
        await queries.addTaxonVersions(tx, revision, [{ taxonId: id, record: body.taxon }]);
        await writeScores(tx, revision, ofTaxon(id, body.changes));
        return { id, revision };
      }),
  }),
  route<SaveBody, { taxonId: string }>({
    method: 'put',
    path: '/api/library/taxa/{taxonId}',
    summary:
      'Saves names and changed scores of a taxon as one revision. Merges with other people’s changes by character.',
    allow: INSTRUCTORS,
    body: saveSchema,
    handle: ({ db, body, params, who, now }) =>
      db.transaction(async (tx) => {
        const library = (await queries.theLibrary(tx))!;
        await queries.lockLibrary(tx, library.id);
        const held = await committedLibrary(tx);
        const { vocabulary } = held;
        const current = held.statementsOf(params.taxonId);
        if (!current) throw notFound('species');
        refuseErrors(body.changes, current.scores, vocabulary);
        await refuseConflicts(tx, params.taxonId, body, vocabulary);
        const renamed = !sameRecord({ ...current.taxon, id: undefined }, body.taxon);
        if (!renamed && body.changes.length === 0) return { id: params.taxonId, revision: body.baseRevision };
        const revision = await queries.addRevision(
          tx,
          library.id,
          accountOf(who),
          now,
          `Edited ${scientificName(body.taxon)}`,
        );
        if (renamed)
          await queries.addTaxonVersions(tx, revision, [{ taxonId: params.taxonId, record: body.taxon }]);
        await writeScores(tx, revision, ofTaxon(params.taxonId, body.changes));
        return { id: params.taxonId, revision };
      }),
  }),
  route<unknown, { taxonId: string }>({
    method: 'delete',
    path: '/api/library/taxa/{taxonId}',
    summary:
      'Deletes a taxon on which no list, quiz, ruling or reteaching rests. Older revisions keep it, and undoing brings it back.',
    allow: INSTRUCTORS,
    handle: ({ db, params, who, now }) =>
      db.transaction(async (tx) => {
        const name = await nameOfTaxon(tx, params.taxonId);
        const resting = await queries.restingOn(tx, params.taxonId);
        if (resting.length > 0)
          throw conflict(
            `${name} stands in ${listInWords(resting.slice(0, 3).map(({ what }) => what))}${resting.length > 3 ? ` and ${resting.length - 3} places more` : ''}. Retire it instead: it leaves the lists, and what rests on it keeps it.`,
          );
        const { revision } = await beginChange(tx, accountOf(who), now, `Deleted ${name}`);
        await queries.addDeletion(tx, params.taxonId, revision);
        return { revision };
      }),
  }),
  route<unknown, { revision: number }>({
    method: 'post',
    path: '/api/library/revisions/{revision}/undo',
    params: Joi.object({
      revision: Joi.number()
        .integer()
        .min(1)
        .max(2 ** 31 - 1)
        .required()
        .label('Revision'),
    }),
    summary: 'Takes a revision back by writing the values before it as a new revision.',
    allow: INSTRUCTORS,
    handle: ({ db, params, who, now }) =>
      db.transaction(async (tx) => {
        const undone = await queries.revisionOf(tx, params.revision);
        if (!undone) throw notFound('change');
        await queries.lockLibrary(tx, undone.library_id);
        const [scores, taxa, others] = [
          await queries.scoresOfRevision(tx, undone.id),
          await queries.taxaOfRevision(tx, undone.id),
          await recordsOfRevision(tx, undone.id),
        ];
        if ([...scores, ...taxa, ...others].some((row) => row.later))
          throw conflict('Something of this change was changed again since. Undo the later change first.');
        const revision = await queries.addRevision(
          tx,
          undone.library_id,
          accountOf(who),
          now,
          `Undid: ${undone.summary}`,
        );
        await queries.addTaxonVersions(
          tx,
          revision,
          taxa.map(({ taxon_id: taxonId, record, before }) => ({
            taxonId,
            record: before ?? { ...record, retired: true },
          })),
        );
        await queries.addScoreVersions(
          tx,
          revision,
          scores.map((row) => ({
            taxonId: row.taxon_id,
            characterId: row.character_id,
            qualifierKey: row.qualifier_key,
            sourceId: row.source_id,
            qualifiers: row.qualifiers,
            value: row.before,
            note: row.before_note,
          })),
        );
        for (const row of others)
          await addRecord(tx, undone.library_id, row.kind, row.key, revision, row.before);
        return { revision };
      }),
  }),
  route<BulkBody>({
    method: 'post',
    path: '/api/library/scores',
    summary: 'Saves scores of many taxa as one revision: one character down a list, for example.',
    allow: INSTRUCTORS,
    body: bulkSchema,
    limit: '20mb',
    handle: ({ db, body, who, now }) => db.transaction((tx) => saveBulk(tx, body, accountOf(who), now)),
  }),
  route<unknown, Record<string, string>, { q: string; limit: number }>({
    method: 'get',
    path: '/api/library/search',
    summary: 'Finds taxa by any names and states: “needles 5 blue white bark”. Typing errors are tolerated.',
    allow: STAFF,
    query: Joi.object({
      q: Joi.string().allow('').max(200).required(),
      limit: Joi.number().integer().min(1).max(2000).default(200),
    }),
    handle: async ({ db, query }) => ({ found: search(await searchIndexOf(db), query.q, query.limit) }),
  }),
];

async function saveBulk(db: Db, body: BulkBody, accountId: string, now: Date) {
  await queries.lockLibrary(db, (await queries.theLibrary(db))!.id);
  const library = await committedLibrary(db);
  const { libraryId, revision } = await beginChange(db, accountId, now, body.summary);
  const byTaxon = new Map<string, ScoreChange[]>();
  for (const { taxonId, ...change } of body.changes)
    byTaxon.set(taxonId, [...(byTaxon.get(taxonId) ?? []), change]);
  for (const [taxonId, changes] of byTaxon) {
    const held = library.statementsOf(taxonId);
    if (!held) throw notFound('species');
    refuseErrors(changes, held.scores, library.vocabulary);
    await refuseConflicts(db, taxonId, { changes, baseRevision: body.baseRevision }, library.vocabulary);
  }
  await writeScores(db, revision, body.changes);
  return { revision, libraryId };
}

function refuseErrors(changes: readonly ScoreChange[], held: readonly Score[], vocabulary: Vocabulary): void {
  const key = (score: { characterId: string; sourceId: string; qualifiers: object }) =>
    `${score.characterId}|${score.sourceId}|${qualifierKey(score.qualifiers)}`;
  const changed = new Set(changes.map(key));
  const after = [
    ...held.filter((score) => !changed.has(key(score))),
    ...changes.flatMap((change): Score[] => (change.value ? [{ ...change, value: change.value }] : [])),
  ];
  const touched = new Set(changes.map((change) => change.characterId));
  const errors = checkScores(after, vocabulary).filter(
    (problem) => problem.severity === 'error' && touched.has(problem.characterId),
  );
  if (errors.length > 0) throw badInput(errors.map((error) => error.message).join(' '), errors);
}

/** Two people may edit one profile: only where both changed the same character of the same source is it a conflict. */
async function refuseConflicts(
  db: Db,
  taxonId: string,
  body: Pick<SaveBody, 'changes' | 'baseRevision'> & { taxon?: TaxonBody },
  vocabulary: Vocabulary,
): Promise<void> {
  const others = await queries.scoresChangedSince(db, taxonId, body.baseRevision);
  const clashes = others.filter((row) =>
    body.changes.some(
      (change) =>
        change.characterId === row.character_id &&
        change.sourceId === row.source_id &&
        qualifierKey(change.qualifiers) === row.qualifier_key,
    ),
  );
  if (clashes.length > 0) {
    const names = clashes.map((row) => {
      const qualifiers =
        body.changes.find((change) => qualifierKey(change.qualifiers) === row.qualifier_key)?.qualifiers ??
        {};
      const suffix = row.qualifier_key ? ` (${qualifiersInWords(qualifiers)})` : '';
      return `${vocabulary.get(row.character_id)?.term ?? row.character_id}${suffix}`;
    });
    throw conflict(
      `${clashes[0]!.by ?? 'Someone'} changed ${names.join(', ')} while you were editing. Your values are still here: load theirs to compare, then save again.`,
      clashes,
    );
  }
  if (body.taxon && (await queries.taxonChangedSince(db, taxonId, body.baseRevision)))
    throw conflict(
      'The names or the calendar were changed by someone else while you were editing. Load the new ones to compare, then save again.',
    );
}
