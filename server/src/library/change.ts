import { scientificName } from '@hurrow/core/taxon';
import type { Said } from '@hurrow/contract/problem';
import { notFound, stale } from '../api/problem.ts';
import type { Db } from '../db/index.ts';
import * as queries from './queries.ts';
import { recordNow, type RecordKind } from './records.ts';

/** Begins a change of the library: locks it and opens a revision. Run inside a transaction. */
export async function beginChange(
  db: Db,
  accountId: string,
  now: Date,
  summary: string,
): Promise<{ libraryId: string; revision: number }> {
  const library = await queries.theLibrary(db);
  if (!library) throw notFound('library');
  await queries.lockLibrary(db, library.id);
  const revision = await queries.addRevision(db, library.id, accountId, now, summary);
  return { libraryId: library.id, revision };
}

/** Refuses a save when the record was changed by someone after the revision that the editor stood on. */
export async function refuseStale(
  db: Db,
  kind: RecordKind,
  key: string,
  baseRevision: number,
  what: Said,
): Promise<void> {
  const library = await queries.theLibrary(db);
  const held = library && (await recordNow(db, library.id, kind, key));
  if (held && held.revisionId > baseRevision) throw stale(what);
}

/** The scientific name of a taxon as it stands now. Throws 404 where there is no such taxon. */
export async function nameOfTaxon(db: Db, taxonId: string): Promise<string> {
  const record = await queries.taxonNow(db, taxonId);
  if (!record) throw notFound('species');
  return scientificName(record);
}
