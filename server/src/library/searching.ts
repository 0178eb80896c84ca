import { searchIndex, type SearchIndex } from '@hurrow/core/library';
import { notFound } from '../api/problem.ts';
import type { Db } from '../db/index.ts';
import { committedLibrary } from './committed.ts';
import * as queries from './queries.ts';

/** The index of the newest revision that was searched. It is worked out again when the library has changed. */
let held: { key: string; index: SearchIndex } | undefined;

/** The search index of the library as it stands now; retired taxa are not found. */
export async function searchIndexOf(db: Db): Promise<SearchIndex> {
  const row = await queries.theLibrary(db);
  if (!row) throw notFound('library');
  const key = `${row.id}@${await queries.newestRevision(db, row.id)}`;
  if (held?.key === key) return held.index;
  const { profiles, vocabulary } = await committedLibrary(db);
  const index = searchIndex(
    profiles.filter(({ taxon }) => !taxon.retired),
    vocabulary,
  );
  held = { key, index };
  return index;
}
