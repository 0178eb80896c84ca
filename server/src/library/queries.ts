import type { ReconciliationRule } from '@hurrow/core/score';
import type { Source, SourceDetails } from '@hurrow/core/library';
import type { Taxon } from '@hurrow/core/taxon';
import { only, type Db } from '../db/index.ts';

export interface LibraryRow {
  id: string;
  name: string;
  latitude: number;
  longitude: number;
  elevation: number;
  rule: ReconciliationRule;
}

export const theLibrary = async (db: Db) =>
  (
    await db.query<LibraryRow>(
      'select id, name, latitude, longitude, elevation, rule from library order by id limit 1',
    )
  )[0];

export const sources = async (db: Db, libraryId: string): Promise<Source[]> =>
  (
    await db.query<{ id: string; label: string; details: SourceDetails }>(
      'select id, label, details from source where library_id = $1 order by position',
      [libraryId],
    )
  ).map(({ id, label, details }) => ({ id, label, ...details }));

export const newestRevision = async (db: Db, libraryId: string) =>
  only(
    await db.query<{ id: number }>('select coalesce(max(id), 0) as id from revision where library_id = $1', [
      libraryId,
    ]),
  ).id;

export const addRevision = async (
  db: Db,
  libraryId: string,
  accountId: string | null,
  at: Date,
  summary: string,
) =>
  only(
    await db.query<{ id: number }>(
      'insert into revision (library_id, account_id, at, summary) values ($1, $2, $3, $4) returning id',
      [libraryId, accountId, at, summary],
    ),
  ).id;

/** Keeps two savers from reading the same newest revision. */
export const lockLibrary = (db: Db, libraryId: string) =>
  db.query('select id from library where id = $1 for update', [libraryId]);

export const taxaAt = (db: Db, libraryId: string, revision: number) =>
  db.query<{ id: string; record: object; revisionId: number }>(
    `select id, record, revision_id as "revisionId" from (
       select distinct on (taxon.id) taxon.id, taxon_version.record, taxon_version.revision_id
         from taxon join taxon_version on taxon_version.taxon_id = taxon.id
        where taxon.library_id = $1 and taxon_version.revision_id <= $2
        order by taxon.id, taxon_version.revision_id desc
     ) as newest where not record ? 'deleted' order by id`,
    [libraryId, revision],
  );

export interface ScoreRow {
  taxonId: string;
  characterId: string;
  sourceId: string;
  qualifiers: object;
  value: object;
  note: string | null;
}

export const scoresAt = (db: Db, taxa: readonly string[], revision: number) =>
  db.query<ScoreRow>(
    `select taxon_id as "taxonId", character_id as "characterId", source_id as "sourceId", qualifiers, value, note from (
       select distinct on (taxon_id, character_id, qualifier_key, source_id)
              taxon_id, character_id, source_id, qualifiers, value, note
         from score_version
        where taxon_id = any($1::text[]) and revision_id <= $2
        order by taxon_id, character_id, qualifier_key, source_id, revision_id desc
     ) as newest where value is not null
     order by taxon_id, character_id`,
    [taxa, revision],
  );

/** What a deleted taxon leaves: its names, so that its history can be read, and the word that it is gone. */
export const addDeletion = (db: Db, taxonId: string, revision: number) =>
  db.query(
    `insert into taxon_version (taxon_id, revision_id, record)
     select taxon_id, $2, record || '{"deleted": true}' from taxon_version
      where taxon_id = $1 order by revision_id desc limit 1`,
    [taxonId, revision],
  );

/** What rests on a taxon, in words for the person who would delete it. */
export const restingOn = (db: Db, taxonId: string) =>
  db.query<{ what: string }>(
    `select 'the list of ' || course.name as what
       from course_taxon join course on course.id = course_taxon.course_id where taxon_id = $1
     union select quiz.title || ' of ' || course.name
       from station join quiz on quiz.id = station.quiz_id join course on course.id = quiz.course_id where taxon_id = $1
     union select 'a ruling in ' || course.name
       from ruling join course on course.id = ruling.course_id where truth = $1 or counts_as = $1
     union select 'a reteaching in ' || course.name
       from reteaching join course on course.id = reteaching.course_id where a = $1 or b = $1
     order by what`,
    [taxonId],
  );

export const addTaxa = (db: Db, libraryId: string, ids: readonly string[]) =>
  db.query('insert into taxon (id, library_id) select id, $1 from unnest($2::text[]) as id', [
    libraryId,
    ids,
  ]);

/** The ids of all taxa, deleted ones among them. */
export const taxonIds = async (db: Db) =>
  new Set((await db.query<{ id: string }>('select id from taxon')).map(({ id }) => id));

export const addTaxonVersions = (
  db: Db,
  revision: number,
  rows: readonly { taxonId: string; record: object }[],
) =>
  db.query(
    `insert into taxon_version (taxon_id, revision_id, record)
     select taxon_id, $1, record::jsonb from unnest($2::text[], $3::text[]) as r (taxon_id, record)`,
    [revision, rows.map(({ taxonId }) => taxonId), rows.map(({ record }) => JSON.stringify(record))],
  );

export interface NewScore {
  taxonId: string;
  characterId: string;
  qualifierKey: string;
  sourceId: string;
  qualifiers: object;
  value: object | null;
  note: string | null;
}

const SCORE = 'taxon_id, character_id, qualifier_key, source_id, qualifiers, value, note';
/** New scores as columns of rows, for `unnest`; the first parameter is the caller's. */
const UNNESTED = `(select taxon_id, character_id, qualifier_key, source_id, qualifiers::jsonb, value::jsonb, note
  from unnest($2::text[], $3::text[], $4::text[], $5::text[], $6::text[], $7::text[], $8::text[])
    as r (${SCORE})) as r`;
const columnsOf = (rows: readonly NewScore[]) => [
  rows.map(({ taxonId }) => taxonId),
  rows.map(({ characterId }) => characterId),
  rows.map((row) => row.qualifierKey),
  rows.map(({ sourceId }) => sourceId),
  rows.map(({ qualifiers }) => JSON.stringify(qualifiers)),
  rows.map(({ value }) => value && JSON.stringify(value)),
  rows.map(({ note }) => note),
];

export const addScoreVersions = (db: Db, revision: number, rows: readonly NewScore[]) =>
  db.query(`insert into score_version (revision_id, ${SCORE}) select $1, r.* from ${UNNESTED}`, [
    revision,
    ...columnsOf(rows),
  ]);

/** Puts scores of an import where they wait for the others. */
export const addArriving = (db: Db, importId: string, rows: readonly NewScore[]) =>
  db.query(`insert into arriving_score (import_id, ${SCORE}) select $1::uuid, r.* from ${UNNESTED}`, [
    importId,
    ...columnsOf(rows),
  ]);

/** Writes all scores of an import that wait into a revision. */
export const admitArriving = (db: Db, importId: string, revision: number) =>
  db.query(
    `insert into score_version (revision_id, ${SCORE})
     select $2, ${SCORE} from arriving_score where import_id = $1`,
    [importId, revision],
  );

/** Takes away what waited for an import, and what earlier ones have left. */
export const sweepArriving = (db: Db, importId: string) =>
  db.query(`delete from arriving_score where import_id = $1 or at < now() - interval '1 day'`, [importId]);

/** Characters of a taxon that someone else changed after a revision, by source and qualifiers. */
export const scoresChangedSince = (db: Db, taxonId: string, revision: number) =>
  db.query<{ characterId: string; qualifierKey: string; sourceId: string; by: string | null }>(
    `select distinct character_id as "characterId", qualifier_key as "qualifierKey", source_id as "sourceId", account.name as by
       from score_version
       join revision on revision.id = score_version.revision_id
       left join account on account.id = revision.account_id
      where taxon_id = $1 and revision_id > $2`,
    [taxonId, revision],
  );

export const taxonChangedSince = async (db: Db, taxonId: string, revision: number) =>
  (
    await db.query('select 1 from taxon_version where taxon_id = $1 and revision_id > $2 limit 1', [
      taxonId,
      revision,
    ])
  ).length > 0;

export const revisionOf = async (db: Db, revision: number) =>
  (
    await db.query<{ id: number; summary: string; libraryId: string }>(
      'select id, summary, library_id as "libraryId" from revision where id = $1',
      [revision],
    )
  )[0];

/** What a revision wrote, each with the value before it. */
export const scoresOfRevision = (db: Db, revision: number) =>
  db.query<{
    taxonId: string;
    characterId: string;
    qualifierKey: string;
    sourceId: string;
    qualifiers: object;
    before: object | null;
    beforeNote: string | null;
    later: boolean;
  }>(
    `select now.taxon_id as "taxonId", now.character_id as "characterId", now.qualifier_key as "qualifierKey", now.source_id as "sourceId",
            now.qualifiers, prior.value as before, prior.note as "beforeNote",
            exists (select 1 from score_version as next
                     where next.taxon_id = now.taxon_id and next.character_id = now.character_id
                       and next.qualifier_key = now.qualifier_key and next.source_id = now.source_id
                       and next.revision_id > now.revision_id) as later
       from score_version as now
       left join lateral (
         select value, note from score_version as old
          where old.taxon_id = now.taxon_id and old.character_id = now.character_id
            and old.qualifier_key = now.qualifier_key and old.source_id = now.source_id
            and old.revision_id < now.revision_id
          order by old.revision_id desc limit 1) as prior on true
      where now.revision_id = $1`,
    [revision],
  );

export const taxaOfRevision = (db: Db, revision: number) =>
  db.query<{ taxonId: string; record: object; before: object | null; later: boolean }>(
    `select now.taxon_id as "taxonId", now.record, prior.record as before,
            exists (select 1 from taxon_version as next where next.taxon_id = now.taxon_id and next.revision_id > now.revision_id) as later
       from taxon_version as now
       left join lateral (
         select record from taxon_version as old
          where old.taxon_id = now.taxon_id and old.revision_id < now.revision_id
          order by old.revision_id desc limit 1) as prior on true
      where now.revision_id = $1`,
    [revision],
  );

export const taxonNow = async (db: Db, taxonId: string) =>
  (
    await db.query<{ record: Omit<Taxon, 'id'> }>(
      `select record from (
         select record from taxon_version where taxon_id = $1 order by revision_id desc limit 1
       ) as newest where not record ? 'deleted'`,
      [taxonId],
    )
  )[0]?.record;

/** Adds a source or changes one; what is said of it beside its label stays where nothing is given. */
export const addSource = (
  db: Db,
  libraryId: string,
  id: string,
  label: string,
  position: number,
  details: SourceDetails | null = null,
) =>
  db.query(
    `insert into source (library_id, id, label, position, details) values ($1, $2, $3, $4, coalesce($5::jsonb, '{}'))
     on conflict (library_id, id) do update
       set label = excluded.label, position = excluded.position, details = coalesce($5::jsonb, source.details)`,
    [libraryId, id, label, position, details && JSON.stringify(details)],
  );

export const removeSource = (db: Db, libraryId: string, id: string) =>
  db.query('delete from source where library_id = $1 and id = $2', [libraryId, id]);
