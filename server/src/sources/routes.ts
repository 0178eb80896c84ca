import * as sources from '@hurrow/contract/sources';
import { SOURCE_DETAILS, type Source, type SourceDetails } from '@hurrow/core/library';
import type { Reconciliation } from '@hurrow/core/score';
import { conflict } from '../api/problem.ts';
import { say } from '../api/say.ts';
import { accountOf, serve } from '../api/route.ts';
import { beginChange, refuseStale } from '../library/change.ts';
import * as queries from '../library/queries.ts';
import { addRecord, sourceIsUsed } from '../library/records.ts';

export const sourceRoutes = [
  serve(sources.save, ({ db, body: wanted, who, now }) =>
    db.transaction(async (tx) => {
      await refuseStale(tx, 'reconciliation', '-', wanted.baseRevision, say`How sources are reconciled`);
      const { libraryId, revision } = await beginChange(tx, accountOf(who), now, 'Changed sources');
      const held = await queries.sources(tx, libraryId);
      const ids: string[] = [];
      for (const { id, label } of wanted.sources)
        ids.push(id ?? freeId(label, [...held.map((source) => source.id), ...ids]));
      for (const source of held.filter(({ id }) => !ids.includes(id))) {
        if (await sourceIsUsed(tx, libraryId, source.id))
          throw conflict(
            say`“${source.label}” still has scores. Move or remove them first; a source with scores cannot go.`,
          );
        await queries.removeSource(tx, libraryId, source.id);
      }
      for (const [i, id] of ids.entries())
        await queries.addSource(
          tx,
          libraryId,
          id,
          wanted.sources[i]!.label,
          i,
          detailsOf(wanted.sources[i]!),
        );
      const record: Reconciliation = { rule: wanted.rule, order: ids, picks: wanted.picks };
      await addRecord(tx, libraryId, 'reconciliation', '-', revision, record);
      return { revision, ids };
    }),
  ),
];

/** What is said of a source; empty fields are left out. */
const detailsOf = (source: Omit<Source, 'id'>): SourceDetails =>
  Object.fromEntries(SOURCE_DETAILS.flatMap((part) => (source[part] ? [[part, source[part]]] : [])));

/** An id made of the name of a source: "field-notes", with a number behind it where that is taken. */
function freeId(label: string, taken: readonly string[]): string {
  const base =
    label
      .toLowerCase()
      .normalize('NFD')
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-|-$/g, '')
      .slice(0, 40) || 'source';
  for (let n = 1; ; n += 1) {
    const id = n === 1 ? base : `${base}-${n}`;
    if (!taken.includes(id)) return id;
  }
}
