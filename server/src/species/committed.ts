import { notFound } from '../api/problem.ts';
import type { Db } from '../db/index.ts';
import * as queries from './queries.ts';
import { libraryAt, type LibraryAtRevision } from './store.ts';

/** How many revisions are kept: the newest, and those that held quizzes are looked at with. */
const KEPT = 4;
const held = new Map<string, LibraryAtRevision>();

/**
 * The library at a committed revision, or as it stands now: what a revision wrote never changes, so that it is read once. Not to be
 * altered by the caller, and not for use inside a transaction, whose own revision others may not see yet.
 */
export async function committedLibrary(db: Db, revision?: number): Promise<LibraryAtRevision> {
  const row = await queries.theLibrary(db);
  if (!row) throw notFound('library');
  const newest = await queries.newestRevision(db, row.id);
  const at = Math.min(revision ?? newest, newest);
  // Name, place, rule and sources have no revisions of their own.
  const key = JSON.stringify([row, at, await queries.sources(db, row.id)]);
  const found = held.get(key) ?? (await libraryAt(db, at));
  held.delete(key);
  held.set(key, found);
  for (const oldest of held.keys()) if (held.size > KEPT) held.delete(oldest);
  return found;
}

/** Forgets what was read, after another store was put in the place of this one: its revisions have the same numbers. */
export const forgetLibraries = (): void => held.clear();
