import * as measurements from '@hurrow/contract/measurements';
import type { Sheet } from '@hurrow/contract/measurements';
import { sheetAsScore } from '@hurrow/core/measurement';
import { qualifierKey } from '@hurrow/core/score';
import { badInput } from '../api/problem.ts';
import { accountOf, serve } from '../api/route.ts';
import { beginChange, nameOfTaxon, refuseStale } from '../library/change.ts';
import { committedLibrary } from '../library/committed.ts';
import * as queries from '../library/queries.ts';
import { addRecord, recordsAt } from '../library/records.ts';
import { ofTaxon, writeScores } from '../library/store.ts';

/** The source that own measurements speak as. */
export const MEASURED = { id: 'measured', label: 'Own measurements' };

const keyOf = (sheet: Omit<Sheet, 'values'>) =>
  `${sheet.taxonId}|${sheet.characterId}|${qualifierKey(sheet.qualifiers)}`;

export const measurementRoutes = [
  serve(measurements.sheets, async ({ db, params }) => {
    await nameOfTaxon(db, params.taxonId);
    const library = (await queries.theLibrary(db))!;
    const revision = await queries.newestRevision(db, library.id);
    const rows = await recordsAt<Sheet>(db, library.id, 'sheet', revision);
    return {
      revision,
      sheets: rows.map(({ record }) => record).filter((sheet) => sheet.taxonId === params.taxonId),
    };
  }),
  serve(measurements.saveSheet, ({ db, body: { baseRevision, ...body }, params, who, now }) =>
    db.transaction(async (tx) => {
      const sheet: Sheet = { ...body, taxonId: params.taxonId };
      const name = await nameOfTaxon(tx, params.taxonId);
      const { library, vocabulary } = await committedLibrary(tx);
      const character = vocabulary.get(body.characterId);
      if (!character || (character.kind !== 'measure' && character.kind !== 'count'))
        throw badInput(`“${body.characterId}” is nothing that is measured or counted.`);
      if (character.kind === 'count' && body.values.some(({ value }) => !Number.isInteger(value)))
        throw badInput(`${character.term} are counted: write whole numbers.`);
      await refuseStale(tx, 'sheet', keyOf(sheet), baseRevision, `The sheet of ${character.term}`);
      const { libraryId, revision } = await beginChange(
        tx,
        accountOf(who),
        now,
        `Measured ${character.term} of ${name}`,
      );
      if (!library.sources.some(({ id }) => id === MEASURED.id)) {
        const { id, label } = MEASURED;
        await queries.addSource(tx, libraryId, id, label, library.sources.length);
      }
      await addRecord(tx, libraryId, 'sheet', keyOf(sheet), revision, sheet);
      const value =
        sheetAsScore(
          sheet.values.map((entry) => entry.value),
          character,
        ) ?? null;
      await writeScores(
        tx,
        revision,
        ofTaxon(params.taxonId, [
          { characterId: character.id, qualifiers: body.qualifiers, sourceId: MEASURED.id, value },
        ]),
      );
      return { revision, value };
    }),
  ),
];
