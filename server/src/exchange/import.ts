import { randomUUID } from 'node:crypto';
import type { ImportBody, LibraryImportReport } from '@hurrow/contract/exchange';
import type { Source, SourceDetails } from '@hurrow/core/library';
import { badInput, conflict } from '../api/problem.ts';
import { say } from '../api/say.ts';
import type { Db } from '../db/index.ts';
import { beginChange } from '../library/change.ts';
import { stateOf } from '../library/committed.ts';
import * as queries from '../library/queries.ts';
import { addRecords } from '../library/records.ts';
import { letArrive, ofTaxon, takeId } from '../library/store.ts';
import { askLibrary } from './library.ts';
import type { ImportWrites } from './plan.ts';

/** Signs from which a file is read in a thread of its own: a smaller one takes less time than the way there. */
const LONG = 200_000;
/** How often an import is worked out again, because others changed the library meanwhile. */
const TRIES = 5;

/**
 * Says what a file would do, and does it unless it is a dry run. Reading and comparing is done beside everything else; the store is held
 * only while rows are written, and only if the library is still what the file was compared with.
 */
export async function importFile(
  db: Db,
  { csv, dryRun, sourceId }: ImportBody,
  accountId: string,
  now: Date,
): Promise<LibraryImportReport> {
  for (let tries = 0; tries < TRIES; tries += 1) {
    const { key, answer } = await askLibrary(db, { do: 'plan', text: csv, sourceId }, csv.length > LONG);
    if (!answer.ok) throw badInput(answer.problem);
    const { report, writes } = answer.value;
    if (dryRun || report.added.length + report.changed.length + report.also.length === 0) return report;
    const importId = randomUUID();
    try {
      const named = await arrive(db, importId, writes);
      const revision = await db.transaction(async (tx) => {
        await queries.lockLibrary(tx, (await queries.theLibrary(tx))!.id);
        return (await stateOf(tx)).key === key ? write(tx, importId, named, accountId, now) : undefined;
      });
      if (revision !== undefined) return { ...report, revision };
    } finally {
      await queries.sweepArriving(db, importId);
    }
  }
  throw conflict(say`Others are changing the library just now. Nothing was imported; try again in a minute.`);
}

/** What is to be written, each taxon by its id. */
interface Named extends Omit<ImportWrites, 'taxa'> {
  taxa: (ImportWrites['taxa'][number] & { id: string; fresh: boolean })[];
}

/** Gives new taxa their ids and lets all scores arrive. */
async function arrive(db: Db, importId: string, { taxa, ...rest }: ImportWrites): Promise<Named> {
  const taken = await queries.taxonIds(db);
  const named = taxa.map((row) => ({ ...row, id: row.id ?? takeId(row.taxon!, taken), fresh: !row.id }));
  await letArrive(
    db,
    importId,
    named.flatMap(({ id, scores }) => ofTaxon(id, scores)),
  );
  return { ...rest, taxa: named };
}

async function write(
  db: Db,
  importId: string,
  { sources, characters, taxa }: Named,
  accountId: string,
  now: Date,
): Promise<number> {
  const { libraryId, revision } = await beginChange(db, accountId, now, `Imported ${taxa.length} taxa`);
  const { length } = await queries.sources(db, libraryId);
  for (const [i, source] of sources.entries())
    await queries.addSource(db, libraryId, source.id, source.label, length + i, detailsOf(source));
  const own = characters.map((character) => ({ key: character.id, record: character }));
  await addRecords(db, libraryId, 'character', revision, own);
  const fresh = taxa.filter((row) => row.fresh);
  await queries.addTaxa(
    db,
    libraryId,
    fresh.map(({ id }) => id),
  );
  await queries.addTaxonVersions(
    db,
    revision,
    taxa.flatMap(({ id, taxon }) => (taxon ? [{ taxonId: id, record: taxon }] : [])),
  );
  await queries.admitArriving(db, importId, revision);
  const ranges = taxa.flatMap(({ id, range }) => (range ? [{ key: id, record: range }] : []));
  await addRecords(db, libraryId, 'range', revision, ranges);
  return revision;
}

const detailsOf = ({ id: _id, label: _label, ...details }: Source): SourceDetails => details;
