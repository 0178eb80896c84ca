import type {
  Grounds,
  GroundsFacts,
  KeptMeasurement,
  KeptObservation,
  KeptTree,
  MeasurementBody,
  TreePicture,
} from '@hurrow/contract/grounds';
import type { GroundFeatures, TreeFacts, TreeObservation } from '@hurrow/core/grounds';
import { tagKey } from '@hurrow/core/notebook';
import type { Db } from '../db/index.ts';
import { uuidOf } from '../db/uuid.ts';

export const allGrounds = (db: Db) =>
  db.query<Grounds>(
    `select grounds.id, name, latitude, longitude, elevation,
            (select count(*)::int from tree where grounds_id = grounds.id and not gone) as trees
       from grounds order by name, id`,
  );

export const addGrounds = (db: Db, id: string, { name, latitude, longitude, elevation }: GroundsFacts) =>
  db.query('insert into grounds (id, name, latitude, longitude, elevation) values ($1, $2, $3, $4, $5)', [
    id,
    name,
    latitude,
    longitude,
    elevation,
  ]);

export const changeGrounds = (db: Db, id: string, { name, latitude, longitude, elevation }: GroundsFacts) =>
  db.query('update grounds set name = $2, latitude = $3, longitude = $4, elevation = $5 where id = $1', [
    id,
    name,
    latitude,
    longitude,
    elevation,
  ]);

export const groundsOf = async (db: Db, id: string) =>
  (
    await db.query<GroundsFacts & { id: string; features: GroundFeatures; version: number }>(
      'select id, name, latitude, longitude, elevation, features, version from grounds where id = $1::uuid',
      [uuidOf(id)],
    )
  )[0];

export const setFeatures = (db: Db, id: string, features: GroundFeatures) =>
  db.query('update grounds set features = $2, version = version + 1 where id = $1', [
    id,
    JSON.stringify(features),
  ]);

const ofTree = ({ id, facts, version }: { id: string; facts: TreeFacts; version: number }): KeptTree => ({
  ...facts,
  id,
  version,
});

export const treesOf = async (db: Db, groundsId: string): Promise<KeptTree[]> =>
  (
    await db.query<{ id: string; facts: TreeFacts; version: number }>(
      'select id, facts, version from tree where grounds_id = $1 and not gone order by tag_key',
      [groundsId],
    )
  ).map(ofTree);

export const treeOf = async (db: Db, treeId: string) =>
  (
    await db.query<{ id: string; groundsId: string; facts: TreeFacts; version: number; gone: boolean }>(
      'select id, grounds_id as "groundsId", facts, version, gone from tree where id = $1::uuid for update',
      [uuidOf(treeId)],
    )
  )[0];

export const treeByTag = async (db: Db, groundsId: string, tag: string) =>
  (
    await db.query<{ id: string }>(
      'select id from tree where grounds_id = $1 and tag_key = $2 and not gone',
      [groundsId, tagKey(tag)],
    )
  )[0];

/** Writes a tree, new or changed. */
export const writeTree = (db: Db, groundsId: string, id: string, facts: TreeFacts) =>
  db.query(
    `insert into tree (id, grounds_id, tag_key, facts, version) values ($1, $2, $3, $4, 1)
     on conflict (id) do update set tag_key = $3, facts = $4, version = tree.version + 1`,
    [id, groundsId, tagKey(facts.tag), JSON.stringify(facts)],
  );

/** Writes many trees in one statement. */
export const writeTrees = (db: Db, groundsId: string, rows: readonly { id: string; facts: TreeFacts }[]) =>
  db.query(
    `insert into tree (id, grounds_id, tag_key, facts, version)
     select id, $1, tag_key, facts, 1 from unnest($2::uuid[], $3::text[], $4::jsonb[]) as given (id, tag_key, facts)
     on conflict (id) do update set tag_key = excluded.tag_key, facts = excluded.facts, version = tree.version + 1`,
    [
      groundsId,
      rows.map(({ id }) => id),
      rows.map(({ facts }) => tagKey(facts.tag)),
      rows.map(({ facts }) => JSON.stringify(facts)),
    ],
  );

export const takeTree = (db: Db, id: string) => db.query('update tree set gone = true where id = $1', [id]);

export const observationsOf = (db: Db, groundsId: string) =>
  db.query<KeptObservation>(
    `select tree_observation.id, tree_id as "treeId", to_char(day, 'YYYY-MM-DD') as day, part, there, note, who as by
       from tree_observation join tree on tree.id = tree_id
      where grounds_id = $1 and not gone order by day desc, tree_observation.id`,
    [groundsId],
  );

export const writeObservation = (db: Db, id: string, seen: TreeObservation & { note: string }, who: string) =>
  db.query(
    `insert into tree_observation (id, tree_id, day, part, there, note, who) values ($1, $2, $3, $4, $5, $6, $7)
     on conflict (id) do update set day = $3, part = $4, there = $5, note = $6`,
    [id, seen.treeId, seen.day, seen.part, seen.there, seen.note, who],
  );

export const dropObservation = (db: Db, groundsId: string, id: string) =>
  db.query(
    'delete from tree_observation where id = $1::uuid and tree_id in (select id from tree where grounds_id = $2)',
    [uuidOf(id), groundsId],
  );

export const measurementsOf = (db: Db, groundsId: string) =>
  db.query<KeptMeasurement>(
    `select tree_measurement.id, tree_id as "treeId", to_char(day, 'YYYY-MM-DD') as day, kind, value, error, parts, working, who as by
       from tree_measurement join tree on tree.id = tree_id
      where grounds_id = $1 and not gone order by day desc, at desc, kind, tree_measurement.id`,
    [groundsId],
  );

/** Keeps a measurement once; says whether it is new. */
export const addMeasurement = async (
  db: Db,
  id: string,
  { treeId, day, kind, value, error, parts, working }: MeasurementBody,
  who: string,
  at: Date,
): Promise<boolean> =>
  (
    await db.query(
      `insert into tree_measurement (id, tree_id, day, kind, value, error, parts, working, who, at)
       values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10) on conflict (id) do nothing returning id`,
      [id, treeId, day, kind, value, error, JSON.stringify(parts), JSON.stringify(working), who, at],
    )
  ).length > 0;

/** Whether a tree was measured in this way on a later day. */
export const measuredLater = async (db: Db, treeId: string, kind: string, day: string): Promise<boolean> =>
  (
    await db.query('select 1 from tree_measurement where tree_id = $1 and kind = $2 and day > $3 limit 1', [
      treeId,
      kind,
      day,
    ])
  ).length > 0;

export const picturesOf = (db: Db, groundsId: string) =>
  db.query<TreePicture>(
    `select tree_picture.id, tree_id as "treeId", to_char(day, 'YYYY-MM-DD') as day, who as by
       from tree_picture join tree on tree.id = tree_id
      where grounds_id = $1 and not gone order by day desc, tree_picture.id`,
    [groundsId],
  );

export const pictureOf = async (db: Db, groundsId: string, id: string) =>
  (
    await db.query<{ treeId: string; bytes: Uint8Array }>(
      `select tree_id as "treeId", bytes from tree_picture join tree on tree.id = tree_id
        where tree_picture.id = $1::uuid and grounds_id = $2`,
      [uuidOf(id), groundsId],
    )
  )[0];

export const addPicture = (db: Db, id: string, treeId: string, day: Date, who: string, bytes: Uint8Array) =>
  db.query(
    'insert into tree_picture (id, tree_id, day, who, bytes) values ($1, $2, $3, $4, $5) on conflict (id) do nothing',
    [id, treeId, day, who, bytes],
  );

export const dropPicture = (db: Db, id: string) =>
  db.query('delete from tree_picture where id = $1::uuid', [uuidOf(id)]);
