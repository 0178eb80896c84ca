import { namedIn, readLibrary, type ReadLibrary } from '@hurrow/core/library';
import { notFound } from '../api/problem.ts';
import type { Course } from '@hurrow/contract/courses';
import type { Db } from '../db/index.ts';
import * as queries from './queries.ts';
import { libraryAt, type LibraryAtRevision } from './store.ts';

/** How many revisions are kept: the newest, and those that held quizzes are looked at with. */
const KEPT = 4;
const held = new Map<string, LibraryAtRevision>();

/**
 * A text that changes with anything a library at a revision says, or as it stands now: what a revision wrote never changes, but name,
 * place, rule and sources have no revisions of their own. Throws (404) where there is no library yet.
 */
export async function stateOf(db: Db, revision?: number): Promise<{ key: string; revision: number }> {
  const row = await queries.theLibrary(db);
  if (!row) throw notFound('library');
  const newest = await queries.newestRevision(db, row.id);
  const at = Math.min(revision ?? newest, newest);
  return { key: JSON.stringify([row, at, await queries.sources(db, row.id)]), revision: at };
}

/**
 * The library at a revision, or as it stands now, read once and shared by all: not to be altered by the caller. Inside a transaction it is
 * asked for before anything is written, since others may not see what that wrote.
 */
export async function committedLibrary(db: Db, revision?: number): Promise<ReadLibrary<LibraryAtRevision>> {
  const { key, revision: at } = await stateOf(db, revision);
  const found = held.get(key) ?? (await libraryAt(db, at));
  held.delete(key);
  held.set(key, found);
  for (const oldest of held.keys()) if (held.size > KEPT) held.delete(oldest);
  return readLibrary(found);
}

/** The library as a course says its trees: with the common names of the language that it chose before those of the library. */
export async function courseLibrary(
  db: Db,
  course: Pick<Course, 'namesIn'>,
  revision?: number,
): Promise<ReadLibrary<LibraryAtRevision>> {
  const { library } = await committedLibrary(db, revision);
  return readLibrary(namedIn(library, course.namesIn));
}

/** Forgets what was read, after another store was put in the place of this one: its revisions have the same numbers. */
export const forgetLibraries = (): void => held.clear();
