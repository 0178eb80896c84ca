import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { parse } from 'yaml';
import type { WalkBody } from '@hurrow/contract/outings';
import {
  newTree,
  freshChecklists,
  type FeatureFacts,
  type GroundFeatures,
  type ObservedPart,
  type TreeFacts,
} from '@hurrow/core/grounds';
import type { Db } from '@hurrow/server/db';
import * as queries from '@hurrow/server/grounds/queries';
import * as outings from '@hurrow/server/outings/queries';

interface GroundsFile {
  name: string;
  latitude: number;
  longitude: number;
  elevation: number;
  features: (FeatureFacts & { shape: string; at: unknown })[];
  trees: (Partial<TreeFacts> & {
    tag: string;
    at: [latitude: number, longitude: number, elevation: number];
  })[];
  observations: [tag: string, day: string, part: ObservedPart, there: boolean][];
  walk: { name: string; day: string; trees: string[] };
  collecting: {
    name: string;
    day: string;
    needs: [taxonId: string, kind: string][];
    cut: { need: string; tag: string; cut: string; goodUntil: string; stored: string }[];
  };
}

const NOW = new Date('2026-10-14T17:00:00Z');

const CONFIRMED_BY = 'Marisol Overbeck';

/** The made-up grounds as they stand in grounds.yaml. */
export function demoGrounds(): { file: GroundsFile; features: GroundFeatures; trees: TreeFacts[] } {
  const file = parse(readFileSync(new URL('../grounds.yaml', import.meta.url), 'utf8')) as GroundsFile;
  const features = {
    type: 'FeatureCollection',
    features: file.features.map(({ shape, at, ...properties }) => ({
      type: 'Feature',
      properties,
      geometry: { type: shape, coordinates: at },
    })),
  } as GroundFeatures;
  const trees = file.trees.map(({ at: [latitude, longitude, elevation], tag, ...facts }): TreeFacts => ({
    ...newTree(tag, latitude, longitude),
    elevation,
    confirmedBy: CONFIRMED_BY,
    ...facts,
  }));
  return { file, features, trees };
}

/** Puts the grounds into a store, with a walk and a collecting list of a course. */
export async function fillGrounds(db: Db, courseId: string): Promise<void> {
  const { file, features, trees } = demoGrounds();
  const groundsId = randomUUID();
  await queries.addGrounds(db, groundsId, file);
  await queries.setFeatures(db, groundsId, features);
  const ids = new Map(trees.map(({ tag }) => [tag, randomUUID()]));
  for (const tree of trees) await queries.writeTree(db, groundsId, ids.get(tree.tag)!, tree);
  for (const [tag, day, part, there] of file.observations)
    await queries.writeObservation(
      db,
      randomUUID(),
      { treeId: ids.get(tag)!, day: String(day), part, there, note: '' },
      CONFIRMED_BY,
    );
  await fillOutings(db, courseId, groundsId, file, ids);
}

async function fillOutings(
  db: Db,
  courseId: string,
  groundsId: string,
  { walk, collecting }: GroundsFile,
  ids: ReadonlyMap<string, string>,
): Promise<void> {
  const idOf = (tag: string) => ids.get(tag)!;
  const start = { latitude: 47.6, longitude: -116.4 };
  const body: WalkBody = {
    groundsId,
    name: walk.name,
    day: String(walk.day),
    begins: '14:00',
    beginsAt: Date.parse(`${walk.day}T21:00:00Z`),
    treeIds: walk.trees.map(idOf),
    minutes: 4,
    stepFree: false,
    unlike: false,
    start,
    end: start,
    checklists: freshChecklists(),
  };
  await outings.writeWalk(db, randomUUID(), courseId, body, NOW);
  const listId = randomUUID();
  const needs = collecting.needs.map(([taxonId, kind]) => ({
    id: `${taxonId} ${kind}`,
    taxonId,
    kind,
    serves: '',
  }));
  const { name, day } = collecting;
  const list = { groundsId, name, day: String(day), quizId: null, needs, chosen: {}, pestHosts: false };
  await outings.writeList(db, listId, courseId, list, NOW);
  for (const { need, tag, cut, goodUntil, stored } of collecting.cut)
    await outings.writeItem(
      db,
      randomUUID(),
      listId,
      {
        needId: need,
        treeId: idOf(tag),
        cutAt: `${cut}T16:30:00Z`,
        cutter: CONFIRMED_BY,
        stored,
        goodUntil: String(goodUntil),
        spares: 1,
        confirmedBy: 'Perpetua Lindqvist',
        state: 'kept',
        note: '',
      },
      [{ at: `${cut}T16:30:00Z`, by: CONFIRMED_BY, what: 'cut' }],
    );
}
