import Joi from 'joi';
import { readTaxonTable } from '@hurrow/core/formats';
import { checkScores, qualifierKey, qualifiersInWords, type Score } from '@hurrow/core/score';
import { scientificName } from '@hurrow/core/taxon';
import { BUILT_IN } from '@hurrow/core/vocabulary';
import { badInput, conflict, notFound } from '../api/problem.ts';
import { accountOf, INSTRUCTORS, route, STAFF } from '../api/route.ts';
import type { Db } from '../db/index.ts';
import * as queries from './queries.ts';
import { saveSchema, type SaveBody, type ScoreChange } from './schema.ts';
import { freeTaxonId, libraryAt, writeScores } from './store.ts';

export const speciesRoutes = [
  route<unknown, Record<string, string>, { revision?: number }>({
    method: 'get',
    path: '/api/library',
    summary: 'The library: taxa with what every source says of them, as now or as at a revision.',
    allow: STAFF,
    query: Joi.object({
      revision: Joi.number()
        .integer()
        .min(0)
        .max(2 ** 31 - 1),
    }),
    handle: ({ db, query }) => libraryAt(db, query.revision),
  }),
  route<SaveBody>({
    method: 'post',
    path: '/api/library/taxa',
    summary: 'Adds a taxon with its first scores.',
    allow: INSTRUCTORS,
    body: saveSchema,
    handle: ({ db, body, who, now }) =>
      db.transaction(async (tx) => {
        const library = await libraryAt(tx);
        const name = scientificName(body.taxon);
        if (library.taxa.some(({ taxon }) => scientificName(taxon) === name && !taxon.retired))
          throw conflict(`${name} is in the library already. Open its profile and edit it there.`);
        refuseErrors(body.changes, []);
        const id = await freeTaxonId(tx, body.taxon);
        const revision = await queries.addRevision(tx, library.id, accountOf(who), now, `Added ${name}`);
        await queries.addTaxon(tx, id, library.id);
        await queries.addTaxonVersion(tx, id, revision, body.taxon);
        await writeScores(tx, id, revision, body.changes);
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
        const current = (await libraryAt(tx)).taxa.find(({ taxon }) => taxon.id === params.taxonId);
        if (!current) throw notFound('species');
        refuseErrors(body.changes, current.scores);
        await refuseConflicts(tx, params.taxonId, body);
        const held = { ...current.taxon, id: undefined };
        const renamed = !sameRecord(held, body.taxon);
        if (!renamed && body.changes.length === 0) return { id: params.taxonId, revision: body.baseRevision };
        const revision = await queries.addRevision(
          tx,
          library.id,
          accountOf(who),
          now,
          `Edited ${scientificName(body.taxon)}`,
        );
        if (renamed) await queries.addTaxonVersion(tx, params.taxonId, revision, body.taxon);
        await writeScores(tx, params.taxonId, revision, body.changes);
        return { id: params.taxonId, revision };
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
        const [scores, taxa] = [
          await queries.scoresOfRevision(tx, undone.id),
          await queries.taxaOfRevision(tx, undone.id),
        ];
        if (scores.some((row) => row.later) || taxa.some((row) => row.later))
          throw conflict('Something of this change was changed again since. Undo the later change first.');
        const revision = await queries.addRevision(
          tx,
          undone.library_id,
          accountOf(who),
          now,
          `Undid: ${undone.summary}`,
        );
        for (const row of taxa)
          await queries.addTaxonVersion(
            tx,
            row.taxon_id,
            revision,
            row.before ?? { ...row.record, retired: true },
          );
        for (const row of scores)
          await queries.addScoreVersion(tx, {
            taxonId: row.taxon_id,
            characterId: row.character_id,
            qualifierKey: row.qualifier_key,
            sourceId: row.source_id,
            revision,
            qualifiers: row.qualifiers,
            value: row.before,
            note: row.before_note,
          });
        return { revision };
      }),
  }),
  route<{ csv: string; dryRun: boolean }>({
    method: 'post',
    path: '/api/library/import',
    summary: 'Imports a taxa × characters table (CSV); with dryRun it only says what it would do.',
    allow: INSTRUCTORS,
    body: Joi.object({ csv: Joi.string().required().label('File'), dryRun: Joi.boolean().required() }),
    handle: ({ db, body, who, now }) =>
      db.transaction((tx) => importTaxa(tx, body.csv, body.dryRun, accountOf(who), now)),
  }),
];

function refuseErrors(changes: readonly ScoreChange[], held: readonly Score[]): void {
  const key = (score: { characterId: string; sourceId: string; qualifiers: object }) =>
    `${score.characterId}|${score.sourceId}|${qualifierKey(score.qualifiers)}`;
  const changed = new Set(changes.map(key));
  const after = [
    ...held.filter((score) => !changed.has(key(score))),
    ...changes.flatMap((change): Score[] => (change.value ? [{ ...change, value: change.value }] : [])),
  ];
  const touched = new Set(changes.map((change) => change.characterId));
  const errors = checkScores(after, BUILT_IN).filter(
    (problem) => problem.severity === 'error' && touched.has(problem.characterId),
  );
  if (errors.length > 0) throw badInput(errors.map((error) => error.message).join(' '), errors);
}

/** Two people may edit one profile: only where both changed the same character of the same source is it a conflict. */
async function refuseConflicts(db: Db, taxonId: string, body: SaveBody): Promise<void> {
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
      return `${BUILT_IN.get(row.character_id)?.term ?? row.character_id}${suffix}`;
    });
    throw conflict(
      `${clashes[0]!.by ?? 'Someone'} changed ${names.join(', ')} while you were editing. Your values are still here: load theirs to compare, then save again.`,
      clashes,
    );
  }
  if (await queries.taxonChangedSince(db, taxonId, body.baseRevision))
    throw conflict(
      'The names or the calendar were changed by someone else while you were editing. Load the new ones to compare, then save again.',
    );
}

async function importTaxa(db: Db, csv: string, dryRun: boolean, accountId: string, now: Date) {
  const library = await libraryAt(db);
  const sourceId = library.sources[0]!.id;
  const table = readTaxonTable(csv, BUILT_IN, sourceId);
  if (!table.ok) throw badInput(table.problem);
  const { rows, problems, ignored } = table.value;
  const existing = new Map(library.taxa.map(({ taxon }) => [scientificName(taxon), taxon]));
  const plan = rows.map((row) => {
    const name = scientificName(row.taxon);
    return { ...row, name, existing: existing.get(name) };
  });
  const report = {
    added: plan.filter((row) => !row.existing).map((row) => `${row.name}: ${row.scores.length} characters`),
    changed: plan.filter((row) => row.existing).map((row) => `${row.name}: ${row.scores.length} characters`),
    refused: problems,
    ignored,
    revision: library.revision,
  };
  if (dryRun || plan.length === 0) return report;
  const revision = await queries.addRevision(db, library.id, accountId, now, `Imported ${plan.length} taxa`);
  for (const row of plan) {
    const id = row.existing?.id ?? (await freeTaxonId(db, row.taxon));
    if (!row.existing) {
      await queries.addTaxon(db, id, library.id);
      await queries.addTaxonVersion(db, id, revision, row.taxon);
    }
    await writeScores(db, id, revision, row.scores);
  }
  return { ...report, revision };
}

/** Equal as stored, whatever the order in which the fields came. */
const sameRecord = (a: object, b: object): boolean => canonical(a) === canonical(b);

const canonical = (value: unknown): string =>
  JSON.stringify(value, (_key, inner: unknown) =>
    inner && typeof inner === 'object' && !Array.isArray(inner)
      ? Object.fromEntries(Object.entries(inner).sort())
      : inner,
  );
