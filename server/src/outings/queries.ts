import type { Collecting, CollectingBody, Item, ItemBody, Walk, WalkBody } from '@hurrow/contract/outings';
import type { Db } from '../db/index.ts';
import { uuidOf } from '../db/uuid.ts';

type Kept<T> = { id: string; body: T; version: number };

export const walksOf = async (db: Db, courseId: string): Promise<Walk[]> =>
  (
    await db.query<Kept<WalkBody>>(
      `select id, body, version from walk where course_id = $1 order by body->>'day' desc, at desc`,
      [courseId],
    )
  ).map(({ id, body, version }) => ({ ...body, id, version }));

export const walkOf = async (db: Db, id: string) =>
  (
    await db.query<{ courseId: string; body: WalkBody; version: number }>(
      'select course_id as "courseId", body, version from walk where id = $1::uuid for update',
      [uuidOf(id)],
    )
  )[0];

export const writeWalk = (db: Db, id: string, courseId: string, body: WalkBody, at: Date) =>
  db.query(
    `insert into walk (id, course_id, body, at) values ($1, $2, $3, $4)
     on conflict (id) do update set body = $3, at = $4, version = walk.version + 1`,
    [id, courseId, JSON.stringify(body), at],
  );

export const dropWalk = (db: Db, id: string) => db.query('delete from walk where id = $1', [id]);

export async function collectingOf(db: Db, courseId: string): Promise<Collecting[]> {
  const lists = await db.query<Kept<CollectingBody>>(
    `select id, body, version from collecting where course_id = $1 order by body->>'day' desc, at desc`,
    [courseId],
  );
  const items = await db.query<Omit<Kept<ItemBody>, 'version'> & { listId: string; trace: Item['trace'] }>(
    `select item.id, item.body, collecting_id as "listId", trace
       from item join collecting on collecting.id = collecting_id where course_id = $1
      order by item.body->>'cutAt', item.id`,
    [courseId],
  );
  return lists.map(({ id, body, version }) => ({
    ...body,
    id,
    version,
    items: items
      .filter(({ listId }) => listId === id)
      .map((item) => ({ ...item.body, id: item.id, trace: item.trace })),
  }));
}

export const listOf = async (db: Db, id: string) =>
  (
    await db.query<{ courseId: string; body: CollectingBody; version: number }>(
      'select course_id as "courseId", body, version from collecting where id = $1::uuid for update',
      [uuidOf(id)],
    )
  )[0];

export const writeList = (db: Db, id: string, courseId: string, body: CollectingBody, at: Date) =>
  db.query(
    `insert into collecting (id, course_id, body, at) values ($1, $2, $3, $4)
     on conflict (id) do update set body = $3, at = $4, version = collecting.version + 1`,
    [id, courseId, JSON.stringify(body), at],
  );

export const dropList = (db: Db, id: string) => db.query('delete from collecting where id = $1', [id]);

export const itemOf = async (db: Db, id: string) =>
  (
    await db.query<{ listId: string; body: ItemBody; trace: Item['trace'] }>(
      'select collecting_id as "listId", body, trace from item where id = $1::uuid for update',
      [uuidOf(id)],
    )
  )[0];

export const writeItem = (db: Db, id: string, listId: string, body: ItemBody, trace: Item['trace']) =>
  db.query(
    `insert into item (id, collecting_id, body, trace) values ($1, $2, $3, $4)
     on conflict (id) do update set body = $3, trace = $4`,
    [id, listId, JSON.stringify(body), JSON.stringify(trace)],
  );

export const dropItem = (db: Db, id: string) => db.query('delete from item where id = $1', [id]);
