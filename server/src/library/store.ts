import type { Library } from '@hurrow/core/library';
import { qualifierKey, type Reconciliation, type Score } from '@hurrow/core/score';
import type { Taxon } from '@hurrow/core/taxon';
import type { Character } from '@hurrow/core/vocabulary';
import { notFound } from '../api/problem.ts';
import type { Db } from '../db/index.ts';
import * as queries from './queries.ts';
import { recordsAt } from './records.ts';
import type { ScoreChange, TaxonBody } from '@hurrow/contract/library';

export interface LibraryAtRevision extends Library {
  id: string;
  name: string;
  revision: number;
}

/** Of how many taxa the scores are asked for in one statement: so many take some milliseconds, and others come between. */
const TAXA_AT_ONCE = 8;

/** The whole library as it stood at a revision, or now. Retired taxa are kept: old quizzes need their names. */
export async function libraryAt(db: Db, revision?: number): Promise<LibraryAtRevision> {
  const row = await queries.theLibrary(db);
  if (!row) throw notFound('library');
  const at = revision ?? (await queries.newestRevision(db, row.id));
  const [sources, taxa, characters, settings] = [
    await queries.sources(db, row.id),
    await queries.taxaAt(db, row.id, at),
    await recordsAt<Character>(db, row.id, 'character', at),
    await recordsAt<Reconciliation>(db, row.id, 'reconciliation', at),
  ];
  const scores: queries.ScoreRow[] = [];
  const ids = taxa.map(({ id }) => id);
  for (let from = 0; from < ids.length; from += TAXA_AT_ONCE)
    scores.push(...(await queries.scoresAt(db, ids.slice(from, from + TAXA_AT_ONCE), at)));
  const order = sources.map((source) => source.id);
  const byTaxon = new Map<string, Score[]>();
  for (const score of scores) {
    const list = byTaxon.get(score.taxonId) ?? [];
    list.push({
      characterId: score.characterId,
      sourceId: score.sourceId,
      qualifiers: score.qualifiers,
      value: score.value as Score['value'],
      ...(score.note ? { note: score.note } : {}),
    });
    byTaxon.set(score.taxonId, list);
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

/**
 * An id a person can read in an address, with a number behind it where that is taken. It is taken from then on.
 *
 * @example
 * takeId({ genus: 'Abies', epithet: 'grandis', … }, new Set(['abies-grandis'])); // 'abies-grandis-2'
 */
export function takeId({ genus, epithet, infraEpithet }: TaxonBody, taken: Set<string>): string {
  const base = [genus, epithet, infraEpithet]
    .filter(Boolean)
    .join('-')
    .toLowerCase()
    .normalize('NFD')
    .replace(/[^a-z0-9-]+/g, '');
  let id = base;
  for (let n = 2; taken.has(id); n += 1) id = `${base}-${n}`;
  taken.add(id);
  return id;
}

/** How many rows go to the store in one statement. */
const AT_ONCE = 250;

type TaxonChange = ScoreChange & { taxonId: string };

const rowOf = ({
  taxonId,
  characterId,
  sourceId,
  qualifiers,
  value,
  note,
}: TaxonChange): queries.NewScore => ({
  taxonId,
  characterId,
  qualifierKey: qualifierKey(qualifiers),
  sourceId,
  qualifiers,
  value,
  note: note ?? null,
});

/** Writes score changes of any taxa into a revision. */
export async function writeScores(db: Db, revision: number, changes: readonly TaxonChange[]): Promise<void> {
  for (let from = 0; from < changes.length; from += AT_ONCE)
    await queries.addScoreVersions(db, revision, changes.slice(from, from + AT_ONCE).map(rowOf));
}

/** Puts score changes of any taxa where they wait for `admitArriving`, a few at a time. Run outside of a transaction. */
export async function letArrive(db: Db, importId: string, changes: readonly TaxonChange[]): Promise<void> {
  for (let from = 0; from < changes.length; from += AT_ONCE)
    await queries.addArriving(db, importId, changes.slice(from, from + AT_ONCE).map(rowOf));
}

/** Score changes as changes of one taxon. */
export const ofTaxon = (taxonId: string, changes: readonly ScoreChange[]) =>
  changes.map((change) => ({ ...change, taxonId }));
