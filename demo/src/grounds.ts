import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { parse } from 'yaml';
import {
  newTree,
  type FeatureFacts,
  type GroundFeatures,
  type ObservedPart,
  type TreeFacts,
} from '@hurrow/core/grounds';
import type { Db } from '@hurrow/server/db';
import * as queries from '@hurrow/server/grounds/queries';

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
}

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

/** Puts the grounds into a store. */
export async function fillGrounds(db: Db): Promise<void> {
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
}
