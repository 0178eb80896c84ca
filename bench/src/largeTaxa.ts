import type { Db } from '@hurrow/server/db';
import * as species from '@hurrow/server/library/queries';
import { ofTaxon, writeScores } from '@hurrow/server/library/store';
import { BUILT_IN } from '@hurrow/core/vocabulary';
import { syntheticLibrary } from './synthetic.ts';

const CHARACTERS = 120;

/** Adds so many synthetic taxa to a library, each scored for 120 built-in characters by one source, as one revision. */
export async function addLargeTaxa(
  tx: Db,
  { libraryId, accountId, sourceId }: { libraryId: string; accountId: string; sourceId: string },
  n: number,
): Promise<void> {
  const scored = [...BUILT_IN.values()].filter((character) => !character.derived).slice(0, CHARACTERS);
  const { taxa } = syntheticLibrary(n, CHARACTERS, 5);
  const revision = await species.addRevision(tx, libraryId, accountId, new Date(), 'Large');
  await species.addTaxa(
    tx,
    libraryId,
    taxa.map(({ taxon }) => taxon.id),
  );
  await species.addTaxonVersions(
    tx,
    revision,
    taxa.map(({ taxon: { id, ...record } }) => ({ taxonId: id, record })),
  );
  for (const { taxon, scores } of taxa) {
    const rows = scores.map(({ value }, i) => ({
      characterId: scored[i]!.id,
      sourceId,
      qualifiers: {},
      value,
    }));
    await writeScores(tx, revision, ofTaxon(taxon.id, rows));
  }
}
