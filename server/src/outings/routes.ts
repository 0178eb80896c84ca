import { isDeepStrictEqual } from 'node:util';
import * as outings from '@hurrow/contract/outings';
import type { ItemBody } from '@hurrow/contract/outings';
import { badInput, notFound, stale } from '../api/problem.ts';
import { say } from '../api/say.ts';
import { serve } from '../api/route.ts';
import { courseOf } from '../courses/course.ts';
import type { Db } from '../db/index.ts';
import { isUuid } from '../db/uuid.ts';
import { treesOf } from '../grounds/queries.ts';
import { theGrounds } from '../grounds/standing.ts';
import { printed } from '../prints/printed.ts';
import * as queries from './queries.ts';
import { walkToPrint } from './walkToPrint.ts';

export const outingRoutes = [
  serve(outings.walks, async ({ db, params }) => {
    const { id } = await courseOf(db, params.courseId);
    return { walks: await queries.walksOf(db, id) };
  }),
  serve(outings.keepWalk, ({ db, params, body: { baseVersion, ...body }, now }) =>
    db.transaction(async (tx) => {
      const { id } = await courseOf(tx, params.courseId);
      await theGrounds(tx, body.groundsId);
      if (!isUuid(params.walkId)) throw badInput(say`A walk needs an id of its own. Keep it once more.`);
      const held = await queries.walkOf(tx, params.walkId);
      if (held && held.courseId !== id) throw notFound('walk');
      if (held && unchanged(held, body, baseVersion)) return { version: held.version };
      await queries.writeWalk(tx, params.walkId, id, body, now);
      return { version: (held?.version ?? 0) + 1 };
    }),
  ),
  serve(outings.dropWalk, async ({ db, params }) => {
    await walkOf(db, params);
    await queries.dropWalk(db, params.walkId);
  }),
  serve(outings.walkSheet, async ({ db, params, query }) => {
    const course = await courseOf(db, params.courseId);
    const walk = await walkOf(db, params);
    return printed(query.paper, 'walk', await walkToPrint(db, course, walk), query.paper);
  }),
  serve(outings.collecting, async ({ db, params }) => {
    const { id } = await courseOf(db, params.courseId);
    return { lists: await queries.collectingOf(db, id) };
  }),
  serve(outings.keepCollecting, ({ db, params, body: { baseVersion, ...body }, now }) =>
    db.transaction(async (tx) => {
      const { id } = await courseOf(tx, params.courseId);
      await theGrounds(tx, body.groundsId);
      if (!isUuid(params.listId))
        throw badInput(say`A collecting list needs an id of its own. Keep it once more.`);
      const held = await queries.listOf(tx, params.listId);
      if (held && held.courseId !== id) throw notFound('collecting list');
      if (held && unchanged(held, body, baseVersion)) return { version: held.version };
      await queries.writeList(tx, params.listId, id, body, now);
      return { version: (held?.version ?? 0) + 1 };
    }),
  ),
  serve(outings.dropCollecting, async ({ db, params }) => {
    await listOf(db, params);
    await queries.dropList(db, params.listId);
  }),
  serve(outings.keepItem, ({ db, params, body, who, now }) =>
    db.transaction(async (tx) => {
      const { body: list } = await listOf(tx, params);
      if (!isUuid(params.itemId)) throw badInput(say`A piece needs an id of its own. Tick it off once more.`);
      if (!list.needs.some(({ id }) => id === body.needId))
        throw badInput(say`The list has changed, and this is no longer on it. Load the list again.`);
      if (!(await treesOf(tx, list.groundsId)).some(({ id }) => id === body.treeId)) throw notFound('tree');
      const held = await queries.itemOf(tx, params.itemId);
      if (held && held.listId !== params.listId) throw notFound('piece');
      const what = held ? changesIn(held.body, body) : 'cut';
      const trace = [
        ...(held?.trace ?? []),
        ...(what ? [{ at: now.toISOString(), by: who!.name, what }] : []),
      ];
      await queries.writeItem(tx, params.itemId, params.listId, body, trace);
    }),
  ),
  serve(outings.dropItem, async ({ db, params }) => {
    await listOf(db, params);
    const held = await queries.itemOf(db, params.itemId);
    if (held && held.listId !== params.listId) throw notFound('piece');
    if (held) await queries.dropItem(db, params.itemId);
  }),
  serve(outings.labels, async ({ db, params, query }) => {
    const { body: list } = await listOf(db, params);
    const lists = await queries.collectingOf(db, params.courseId);
    const items = lists.find(({ id }) => id === params.listId)!.items.filter(({ state }) => state === 'kept');
    if (items.length === 0)
      throw badInput(say`Nothing on this list is cut yet. Tick off what you cut, then print its labels.`);
    const pieces = items.map((item) => {
      const at = list.needs.findIndex(({ id }) => id === item.needId);
      return {
        code: `${query.at}/gather/${params.courseId}/${params.listId}?item=${item.id}`,
        big: String(at + 1),
        cutOn: item.cutAt.slice(0, 10),
        goodUntil: item.goodUntil,
      };
    });
    const { namesIn } = await courseOf(db, params.courseId);
    return printed(query.paper, 'pieceLabels', pieces, list.name, namesIn);
  }),
];

/** Whether the same was sent before. Throws (409) where somebody else has changed it since. */
function unchanged(
  held: { body: { name: string }; version: number },
  body: object,
  baseVersion: number,
): boolean {
  if (held.version <= baseVersion) return false;
  if (!isDeepStrictEqual(held.body, body)) throw stale(say`“${held.body.name}”`);
  return true;
}

/** What has changed of a piece, for its trace; empty where it was sent again as it was. */
function changesIn(before: ItemBody, now: ItemBody): string {
  const told: [keyof ItemBody, string][] = [
    ['state', `now ${now.state}`],
    ['stored', `kept in ${now.stored || 'no place named'}`],
    ['confirmedBy', now.confirmedBy ? `name confirmed by ${now.confirmedBy}` : 'confirmation taken back'],
    ['spares', `${now.spares} spares`],
    ['goodUntil', `good until ${now.goodUntil}`],
    ['treeId', 'from another tree'],
    ['cutter', `cut by ${now.cutter}`],
    ['note', 'note changed'],
  ];
  return told
    .filter(([field]) => before[field] !== now[field])
    .map(([, words]) => words)
    .join(', ');
}

async function walkOf(db: Db, { courseId, walkId }: { courseId: string; walkId: string }) {
  const held = await queries.walkOf(db, walkId);
  if (held?.courseId !== courseId) throw notFound('walk');
  return held!.body;
}

async function listOf(db: Db, { courseId, listId }: { courseId: string; listId: string }) {
  const held = await queries.listOf(db, listId);
  if (held?.courseId !== courseId) throw notFound('collecting list');
  return held!;
}
