import type { BulkBody, SaveBody, ScoreChange, TaxonBody } from '@hurrow/contract/library';
import { checkScores, qualifierKey, qualifiersInWords, type Score } from '@hurrow/core/score';
import { scientificName } from '@hurrow/core/taxon';
import type { Vocabulary } from '@hurrow/core/vocabulary';
import { badInput, conflict, notFound } from '../api/problem.ts';
import { say } from '../api/say.ts';
import type { Db } from '../db/index.ts';
import { beginChange, nameOfTaxon } from './change.ts';
import { committedLibrary } from './committed.ts';
import * as queries from './queries.ts';
import { addRecord, recordsOfRevision } from './records.ts';
import { sameRecord } from './same.ts';
import { ofTaxon, takeId, writeScores } from './store.ts';

// Every change is a revision of its own, signed and dated; all run inside a transaction.

/** Adds a taxon with its first scores. */
export async function addTaxon(tx: Db, body: SaveBody, accountId: string, now: Date) {
  const held = await queries.theLibrary(tx);
  if (held) await queries.lockLibrary(tx, held.id);
  const { library, vocabulary } = await committedLibrary(tx);
  const name = scientificName(body.taxon);
  if (library.taxa.some(({ taxon }) => scientificName(taxon) === name && !taxon.retired))
    throw conflict(say`${name} is in the library already. Open its profile and edit it there.`);
  refuseErrors(body.changes, [], vocabulary);
  const id = takeId(body.taxon, await queries.taxonIds(tx));
  const revision = await queries.addRevision(tx, library.id, accountId, now, `Added ${name}`);
  await queries.addTaxa(tx, library.id, [id]);
  await queries.addTaxonVersions(tx, revision, [{ taxonId: id, record: body.taxon }]);
  await writeScores(tx, revision, ofTaxon(id, body.changes));
  return { id, revision };
}

/** Saves names and changed scores of a taxon, merged with other people's changes by character. */
export async function saveTaxon(tx: Db, taxonId: string, body: SaveBody, accountId: string, now: Date) {
  const library = (await queries.theLibrary(tx))!;
  await queries.lockLibrary(tx, library.id);
  const held = await committedLibrary(tx);
  const { vocabulary } = held;
  const current = held.statementsOf(taxonId);
  if (!current) throw notFound('species');
  refuseErrors(body.changes, current.scores, vocabulary);
  await refuseConflicts(tx, taxonId, body, vocabulary);
  const renamed = !sameRecord({ ...current.taxon, id: undefined }, body.taxon);
  if (!renamed && body.changes.length === 0) return { id: taxonId, revision: body.baseRevision };
  const revision = await queries.addRevision(
    tx,
    library.id,
    accountId,
    now,
    `Edited ${scientificName(body.taxon)}`,
  );
  if (renamed) await queries.addTaxonVersions(tx, revision, [{ taxonId, record: body.taxon }]);
  await writeScores(tx, revision, ofTaxon(taxonId, body.changes));
  return { id: taxonId, revision };
}

/** So many of the places are named in which a species stands. */
const NAMED = 3;

/** Deletes a taxon on which nothing rests. */
export async function deleteTaxon(tx: Db, taxonId: string, accountId: string, now: Date) {
  const name = await nameOfTaxon(tx, taxonId);
  const resting = await queries.restingOn(tx, taxonId);
  const places = resting.slice(0, NAMED).map(({ what }) => what);
  if (resting.length > 0)
    throw conflict(
      resting.length > NAMED
        ? say`${name} stands in ${places.join(', ')} and ${resting.length - NAMED} places more. Retire it instead: it leaves the lists, and what rests on it keeps it.`
        : say`${name} stands in ${places}. Retire it instead: it leaves the lists, and what rests on it keeps it.`,
    );
  const { revision } = await beginChange(tx, accountId, now, `Deleted ${name}`);
  await queries.addDeletion(tx, taxonId, revision);
  return { revision };
}

/** Takes a revision back by writing the values before it as a new one. */
export async function undoRevision(tx: Db, id: number, accountId: string, now: Date) {
  const undone = await queries.revisionOf(tx, id);
  if (!undone) throw notFound('change');
  await queries.lockLibrary(tx, undone.libraryId);
  const [scores, taxa, others] = [
    await queries.scoresOfRevision(tx, undone.id),
    await queries.taxaOfRevision(tx, undone.id),
    await recordsOfRevision(tx, undone.id),
  ];
  if ([...scores, ...taxa, ...others].some((row) => row.later))
    throw conflict(say`Something of this change was changed again since. Undo the later change first.`);
  const revision = await queries.addRevision(
    tx,
    undone.libraryId,
    accountId,
    now,
    `Undid: ${undone.summary}`,
  );
  await queries.addTaxonVersions(
    tx,
    revision,
    taxa.map(({ taxonId, record, before }) => ({
      taxonId,
      record: before ?? { ...record, retired: true },
    })),
  );
  await queries.addScoreVersions(
    tx,
    revision,
    scores.map((row) => ({
      taxonId: row.taxonId,
      characterId: row.characterId,
      qualifierKey: row.qualifierKey,
      sourceId: row.sourceId,
      qualifiers: row.qualifiers,
      value: row.before,
      note: row.beforeNote,
    })),
  );
  for (const row of others) await addRecord(tx, undone.libraryId, row.kind, row.key, revision, row.before);
  return { revision };
}

/** Saves scores of many taxa. */
export async function saveBulk(db: Db, body: BulkBody, accountId: string, now: Date) {
  await queries.lockLibrary(db, (await queries.theLibrary(db))!.id);
  const library = await committedLibrary(db);
  const { revision } = await beginChange(db, accountId, now, body.summary);
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
  return { revision };
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
        change.characterId === row.characterId &&
        change.sourceId === row.sourceId &&
        qualifierKey(change.qualifiers) === row.qualifierKey,
    ),
  );
  if (clashes.length > 0) {
    const names = clashes.map((row) => {
      const qualifiers =
        body.changes.find((change) => qualifierKey(change.qualifiers) === row.qualifierKey)?.qualifiers ?? {};
      const suffix = row.qualifierKey ? ` (${qualifiersInWords(qualifiers)})` : '';
      return `${vocabulary.get(row.characterId)?.term ?? row.characterId}${suffix}`;
    });
    throw conflict(
      say`${clashes[0]!.by ?? say`Someone`} changed ${names} while you were editing. Your values are still here: load theirs to compare, then save again.`,
      clashes,
      'stale',
    );
  }
  if (body.taxon && (await queries.taxonChangedSince(db, taxonId, body.baseRevision)))
    throw conflict(
      say`The names or the calendar were changed by someone else while you were editing. Load the new ones to compare, then save again.`,
      undefined,
      'stale',
    );
}
