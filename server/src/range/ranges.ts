import type { Range } from '@hurrow/core/range';
import type { Db } from '../db/index.ts';
import { recordsAt } from '../library/records.ts';

/** The ranges of some taxa in a library at its revision; of those that have none nothing is given. */
export async function rangesOf(
  db: Db,
  { id, revision }: { id: string; revision: number },
  taxa: ReadonlySet<string>,
): Promise<Record<string, Range>> {
  const rows = await recordsAt<Range>(db, id, 'range', revision);
  return Object.fromEntries(
    rows.flatMap(({ key, record }) => (record && taxa.has(key) ? [[key, record] as const] : [])),
  );
}
