import { notFound } from '../api/problem.ts';
import type { Db } from '../db/index.ts';
import * as queries from './queries.ts';

/** Grounds by their id. Throws (404) where there are none. */
export async function theGrounds(db: Db, groundsId: string) {
  const found = await queries.groundsOf(db, groundsId);
  if (!found) throw notFound('grounds');
  return found;
}

/** A tree that stands on these grounds. Throws (404) where it does not. */
export async function treeOn(db: Db, groundsId: string, treeId: string) {
  const found = await queries.treeOf(db, treeId);
  if (!found || found.gone || found.groundsId !== groundsId) throw notFound('tree');
  return found;
}
