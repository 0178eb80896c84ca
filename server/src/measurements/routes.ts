import * as measurements from '@hurrow/contract/measurements';
import type { Sheet } from '@hurrow/contract/measurements';
import { accountOf, serve } from '../api/route.ts';
import { say } from '../api/say.ts';
import { nameOfTaxon, refuseStale } from '../library/change.ts';
import { committedLibrary } from '../library/committed.ts';
import * as queries from '../library/queries.ts';
import { recordsAt } from '../library/records.ts';
import { sheetKey, writeSheet } from './sheets.ts';

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
      const { vocabulary } = await committedLibrary(tx);
      const term = vocabulary.get(body.characterId)?.term ?? body.characterId;
      await refuseStale(tx, 'sheet', sheetKey(sheet), baseRevision, say`The sheet of ${term}`);
      return writeSheet(tx, accountOf(who), now, sheet);
    }),
  ),
];
