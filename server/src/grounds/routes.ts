import { randomUUID } from 'node:crypto';
import { isDeepStrictEqual } from 'node:util';
import * as grounds from '@hurrow/contract/grounds';
import { MOST_TREE_PICTURES } from '@hurrow/contract/limits';
import { tagKey } from '@hurrow/core/notebook';
import { badInput, notFound, stale } from '../api/problem.ts';
import { say } from '../api/say.ts';
import { serve } from '../api/route.ts';
import type { Db } from '../db/index.ts';
import { isUuid } from '../db/uuid.ts';
import { taxonNow } from '../library/queries.ts';
import { encodePhoto } from '../photos/encode.ts';
import { printed } from '../prints/printed.ts';
import { measureTree } from './measuring.ts';
import * as queries from './queries.ts';
import { theGrounds, treeOn } from './standing.ts';

export const groundRoutes = [
  serve(grounds.all, async ({ db }) => ({ grounds: await queries.allGrounds(db) })),
  serve(grounds.begin, async ({ db, body }) => {
    const id = randomUUID();
    await queries.addGrounds(db, id, body);
    return { id };
  }),
  serve(grounds.change, async ({ db, params, body }) => {
    const { id } = await theGrounds(db, params.groundsId);
    await queries.changeGrounds(db, id, body);
  }),
  serve(grounds.whole, async ({ db, params }) => {
    const found = await theGrounds(db, params.groundsId);
    return {
      ...found,
      trees: await queries.treesOf(db, found.id),
      observations: await queries.observationsOf(db, found.id),
      measurements: await queries.measurementsOf(db, found.id),
      pictures: await queries.picturesOf(db, found.id),
    };
  }),
  serve(grounds.drawMap, ({ db, params, body }) =>
    db.transaction(async (tx) => {
      const { id, version, name } = await theGrounds(tx, params.groundsId);
      if (version > body.baseVersion) throw stale(say`The map of ${name}`);
      await queries.setFeatures(tx, id, body.features);
      return { version: version + 1 };
    }),
  ),
  serve(grounds.keepTree, ({ db, params, body: { baseVersion, ...facts } }) =>
    db.transaction(async (tx) => {
      const { id: groundsId } = await theGrounds(tx, params.groundsId);
      if (!isUuid(params.treeId)) throw badInput(say`A tree needs an id of its own. Add it once more.`);
      await checkTaxa(tx, [facts.taxonId]);
      const held = await queries.treeOf(tx, params.treeId);
      if (held && (held.groundsId !== groundsId || held.gone)) throw notFound('tree');
      if (held && held.version > baseVersion) {
        // What was sent twice is the same: only another change is one too many.
        if (isDeepStrictEqual(held.facts, facts)) return { version: held.version };
        throw stale(say`Tree ${held.facts.tag}`);
      }
      const bearer = await queries.treeByTag(tx, groundsId, facts.tag);
      if (bearer && bearer.id !== params.treeId)
        throw badInput(say`There is a tree with the tag ${facts.tag} already. Give this one another.`);
      await queries.writeTree(tx, groundsId, params.treeId, facts);
      return { version: (held?.version ?? 0) + 1 };
    }),
  ),
  serve(grounds.takeTree, async ({ db, params }) => {
    const { id } = await treeOn(db, params.groundsId, params.treeId);
    await queries.takeTree(db, id);
  }),
  serve(grounds.importTrees, ({ db, params, body: { trees } }) =>
    db.transaction(async (tx) => {
      const { id: groundsId } = await theGrounds(tx, params.groundsId);
      await checkTaxa(
        tx,
        trees.map(({ taxonId }) => taxonId),
      );
      const there = await queries.treesOf(tx, groundsId);
      if (there.length + trees.length > grounds.MOST_TREES)
        throw badInput(
          say`Grounds have room for ${grounds.MOST_TREES} trees. Begin other grounds for the rest.`,
        );
      const byTag = new Map(there.map((tree) => [tagKey(tree.tag), tree.id]));
      const changed = trees.filter(({ tag }) => byTag.has(tagKey(tag))).length;
      const keys = trees.map(({ tag }) => tagKey(tag));
      const twice = new Set(keys).size < keys.length && trees.find((_, i) => keys.indexOf(keys[i]!) < i);
      if (twice)
        throw badInput(say`The tag ${twice.tag} stands there twice. Give each tree a tag of its own.`);
      const rows = trees.map((facts) => ({ id: byTag.get(tagKey(facts.tag)) ?? randomUUID(), facts }));
      await queries.writeTrees(tx, groundsId, rows);
      return { added: trees.length - changed, changed };
    }),
  ),
  serve(grounds.observe, async ({ db, params, body, who }) => {
    if (!isUuid(params.observationId))
      throw badInput(say`What was seen needs an id of its own. Note it once more.`);
    await treeOn(db, params.groundsId, body.treeId);
    await queries.writeObservation(db, params.observationId, body, who!.name);
  }),
  serve(grounds.unobserve, async ({ db, params }) => {
    const { id } = await theGrounds(db, params.groundsId);
    await queries.dropObservation(db, id, params.observationId);
  }),
  serve(grounds.measure, async ({ db, params, body, who, now }) => {
    if (!isUuid(params.measurementId))
      throw badInput(say`A measurement needs an id of its own. Keep it once more.`);
    await db.transaction(async (tx) => {
      const tree = await treeOn(tx, params.groundsId, body.treeId);
      await measureTree(tx, tree, params.measurementId, body, who!, now);
    });
  }),
  serve(grounds.addPicture, async ({ db, body, params, who, now }) => {
    if (!isUuid(params.pictureId))
      throw badInput(say`A photograph needs an id of its own. Add it once more.`);
    const tree = await treeOn(db, params.groundsId, params.treeId);
    const there = (await queries.picturesOf(db, tree.groundsId)).filter(({ treeId }) => treeId === tree.id);
    if (there.some(({ id }) => id === params.pictureId)) return;
    if (there.length >= MOST_TREE_PICTURES)
      throw badInput(say`A tree has ${MOST_TREE_PICTURES} photographs at most. Take one out first.`);
    const { sizes } = await encodePhoto(Buffer.isBuffer(body) ? body : Buffer.alloc(0));
    const { bytes } = sizes.find(({ size }) => size === 'screen')!;
    await queries.addPicture(db, params.pictureId, tree.id, now, who!.name, bytes);
  }),
  serve(grounds.picture, async ({ db, params }) => {
    const { id } = await theGrounds(db, params.groundsId);
    const found = await queries.pictureOf(db, id, params.pictureId);
    if (!found) throw notFound('photograph');
    return Buffer.from(found.bytes);
  }),
  serve(grounds.dropPicture, async ({ db, params }) => {
    const { id } = await theGrounds(db, params.groundsId);
    if (!(await queries.pictureOf(db, id, params.pictureId))) throw notFound('photograph');
    await queries.dropPicture(db, params.pictureId);
  }),
  serve(grounds.tags, async ({ db, params, query }) => {
    const { id, name } = await theGrounds(db, params.groundsId);
    const wanted = query.trees.split(',').filter(Boolean);
    const trees = (await queries.treesOf(db, id)).filter(
      (tree) => wanted.length === 0 || wanted.includes(tree.id),
    );
    if (trees.length === 0) throw badInput(say`There are no trees to print tags for. Add trees first.`);
    const tags = trees.map((tree) => ({
      code: `${query.at}/field/-/${id}/${tree.id}`,
      big: tree.tag,
      small: name,
    }));
    return printed(query.paper, 'labels', tags, 'Tags');
  }),
];

async function checkTaxa(db: Db, taxonIds: readonly (string | null)[]): Promise<void> {
  for (const id of new Set(taxonIds)) if (id !== null && !(await taxonNow(db, id))) throw notFound('species');
}
