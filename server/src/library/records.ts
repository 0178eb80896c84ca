import { only, type Db } from '../db/index.ts';

export type RecordKind =
  'reconciliation' | 'character' | 'range' | 'sheet' | 'photo' | 'pair' | 'rule' | 'key';

export interface RecordRow<T> {
  key: string;
  record: T;
  revisionId: number;
}

/** All records of a kind as they stood at a revision; those taken away are left out. */
export const recordsAt = <T>(db: Db, libraryId: string, kind: RecordKind, revision: number) =>
  db.query<RecordRow<T>>(
    `select key, record, revision_id as "revisionId" from (
       select distinct on (key) key, record, revision_id
         from record_version
        where library_id = $1 and kind = $2 and revision_id <= $3
        order by key, revision_id desc
     ) as newest where record is not null order by key`,
    [libraryId, kind, revision],
  );

/** One record as it stands now, with the revision that wrote it; undefined where there is none. */
export const recordNow = async <T>(db: Db, libraryId: string, kind: RecordKind, key: string) =>
  (
    await db.query<{ record: T | null; revisionId: number }>(
      `select record, revision_id as "revisionId" from record_version
        where library_id = $1 and kind = $2 and key = $3 order by revision_id desc limit 1`,
      [libraryId, kind, key],
    )
  )[0];

export const addRecord = (
  db: Db,
  libraryId: string,
  kind: RecordKind,
  key: string,
  revision: number,
  record: object | null,
) =>
  db.query(
    'insert into record_version (library_id, kind, key, revision_id, record) values ($1, $2, $3, $4, $5::jsonb)',
    [libraryId, kind, key, revision, record === null ? null : JSON.stringify(record)],
  );

/** Adds records of one kind in one statement. */
export const addRecords = (
  db: Db,
  libraryId: string,
  kind: RecordKind,
  revision: number,
  rows: readonly { key: string; record: object }[],
) =>
  db.query(
    `insert into record_version (library_id, kind, revision_id, key, record)
     select $1, $2, $3, key, record::jsonb from unnest($4::text[], $5::text[]) as r (key, record)`,
    [libraryId, kind, revision, rows.map(({ key }) => key), rows.map(({ record }) => JSON.stringify(record))],
  );

/** What a revision wrote of records, each with what stood before it and whether it was changed again since. */
export const recordsOfRevision = (db: Db, revision: number) =>
  db.query<{ kind: RecordKind; key: string; before: object | null; later: boolean }>(
    `select now.kind, now.key, prior.record as before,
            exists (select 1 from record_version as next
                     where next.library_id = now.library_id and next.kind = now.kind and next.key = now.key
                       and next.revision_id > now.revision_id) as later
       from record_version as now
       left join lateral (
         select record from record_version as old
          where old.library_id = now.library_id and old.kind = now.kind and old.key = now.key
            and old.revision_id < now.revision_id
          order by old.revision_id desc limit 1) as prior on true
      where now.revision_id = $1`,
    [revision],
  );

/** How many scores, of how many taxa, a character has now. */
export const usesOfCharacter = async (db: Db, libraryId: string, characterId: string) =>
  only(
    await db.query<{ scores: number; taxa: string[] }>(
      `select count(*)::int as scores, coalesce(array_agg(distinct taxon_id), '{}') as taxa from (
         select distinct on (score_version.taxon_id, qualifier_key, source_id) score_version.taxon_id, value
           from score_version join taxon on taxon.id = score_version.taxon_id
          where taxon.library_id = $1 and character_id = $2
          order by score_version.taxon_id, qualifier_key, source_id, revision_id desc
       ) as newest where value is not null`,
      [libraryId, characterId],
    ),
  );

/** Does any taxon have a score from this source now? */
export const sourceIsUsed = async (db: Db, libraryId: string, sourceId: string) =>
  (
    await db.query(
      `select 1 from (
         select distinct on (score_version.taxon_id, character_id, qualifier_key) value
           from score_version join taxon on taxon.id = score_version.taxon_id
          where taxon.library_id = $1 and source_id = $2
          order by score_version.taxon_id, character_id, qualifier_key, revision_id desc
       ) as newest where value is not null limit 1`,
      [libraryId, sourceId],
    )
  ).length > 0;
