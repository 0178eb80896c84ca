import * as ranges from '@hurrow/contract/ranges';
import { EMPTY_RANGE, isRangeCell, type Range } from '@hurrow/core/range';
import { badInput } from '../api/problem.ts';
import { say } from '../api/say.ts';
import { accountOf, serve } from '../api/route.ts';
import { beginChange, nameOfTaxon, refuseStale } from '../library/change.ts';
import * as queries from '../library/queries.ts';
import { addRecord, recordNow, recordsAt } from '../library/records.ts';

export const rangeRoutes = [
  serve(ranges.all, async ({ db }) => {
    const library = (await queries.theLibrary(db))!;
    const revision = await queries.newestRevision(db, library.id);
    const rows = await recordsAt<Range>(db, library.id, 'range', revision);
    return { revision, ranges: Object.fromEntries(rows.map(({ key, record }) => [key, record])) };
  }),
  serve(ranges.one, async ({ db, params }) => {
    await nameOfTaxon(db, params.taxonId);
    const library = (await queries.theLibrary(db))!;
    const held = await recordNow<Range>(db, library.id, 'range', params.taxonId);
    return {
      range: held?.record ?? EMPTY_RANGE,
      revision: await queries.newestRevision(db, library.id),
    };
  }),
  serve(ranges.save, ({ db, body, params, who, now }) =>
    db.transaction(async (tx) => {
      const name = await nameOfTaxon(tx, params.taxonId);
      const strange = Object.keys(body.range.cells).find((cell) => !isRangeCell(cell));
      if (strange)
        throw badInput(say`“${strange}” is no cell of the range map. Reload the page and paint it again.`);
      await refuseStale(tx, 'range', params.taxonId, body.baseRevision, say`The range of ${name}`);
      const { libraryId, revision } = await beginChange(tx, accountOf(who), now, `Range of ${name}`);
      await addRecord(tx, libraryId, 'range', params.taxonId, revision, body.range);
      return { revision };
    }),
  ),
];
