import type { Library } from '@hurrow/core/library';
import { qualifierKey, type Reconciliation, type Score } from '@hurrow/core/score';
import type { Taxon } from '@hurrow/core/taxon';
import type { Character } from '@hurrow/core/vocabulary';
import { notFound } from '../api/problem.ts';
import type { Db } from '../db/index.ts';
import * as queries from './queries.ts';
import { recordsAt } from './records.ts';
import type { ScoreChange, TaxonBody } from './schema.ts';

export interface LibraryAtRevision extends Library {
  id: string;
  name: string;
  revision: number;
}

/** The whole library as it stood at a revision, or now. Retired taxa are kept: old quizzes need their names. */
export async function libraryAt(db: Db, revision?: number): Promise<LibraryAtRevision> {
  const row = await queries.theLibrary(db);
  if (!row) throw notFound('library');
  const at = revision ?? (await queries.newestRevision(db, row.id));
  const [sources, taxa, scores, characters, settings] = [
    await queries.sources(db, row.id),
    await queries.taxaAt(db, row.id, at),
    await queries.scoresAt(db, row.id, at),
    await recordsAt<Character>(db, row.id, 'character', at),
    await recordsAt<Reconciliation>(db, row.id, 'reconciliation', at),
  ];
  const order = sources.map((source) => source.id);
  const byTaxon = new Map<string, Score[]>();
  for (const score of scores) {
    const list = byTaxon.get(score.taxon_id) ?? [];
    list.push({
      characterId: score.character_id,
      sourceId: score.source_id,
      qualifiers: score.qualifiers,
      value: score.value as Score['value'],
      ...(score.note ? { note: score.note } : {}),
    });
    byTaxon.set(score.taxon_id, list);
  }
  return {
    id: row.id,
    name: row.name,
    revision: at,
    reference: { latitude: row.latitude, longitude: row.longitude, elevation: row.elevation },
    sources,
    reconciliation: withAllSources(settings[0]?.record ?? { rule: row.rule, order }, order),
    characters: characters.map(({ record }) => record),
    taxa: taxa.map(({ id, record }) => ({
      taxon: { ...(record as TaxonBody), id } as Taxon,
      scores: byTaxon.get(id) ?? [],
    })),
  };
}

/** Sources that were added since the order was set are trusted least. */
const withAllSources = (reconciliation: Reconciliation, ids: readonly string[]): Reconciliation => ({
  ...reconciliation,
  order: [...reconciliation.order, ...ids.filter((id) => !reconciliation.order.includes(id))],
});

/** An id a person can read in an address: "abies-grandis", with a number behind it where that is taken. */
export async function freeTaxonId(db: Db, taxon: TaxonBody): Promise<string> {
  const base = [taxon.genus, taxon.epithet, taxon.infraEpithet]
    .filter(Boolean)
    .join('-')
    .toLowerCase()
    .normalize('NFD')
    .replace(/[^a-z0-9-]+/g, '');
  for (let n = 1; ; n += 1) {
    const id = n === 1 ? base : `${base}-${n}`;
    if (!(await queries.taxonExists(db, id))) return id;
  }
}

/** Writes score changes of one taxon into a revision. */
export async function writeScores(
  db: Db,
  taxonId: string,
  revision: number,
  changes: readonly ScoreChange[],
): Promise<void> {
  for (const change of changes)
    await queries.addScoreVersion(db, {
      taxonId,
      revision,
      characterId: change.characterId,
      qualifierKey: qualifierKey(change.qualifiers),
      sourceId: change.sourceId,
      qualifiers: change.qualifiers,
      value: change.value,
      note: change.note ?? null,
    });
}
