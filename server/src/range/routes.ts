import Joi from 'joi';
import { EMPTY_RANGE, isRangeCell, RANGE_STATUSES, type Range } from '@hurrow/core/range';
import { badInput } from '../api/problem.ts';
import { accountOf, INSTRUCTORS, route, STAFF } from '../api/route.ts';
import { beginChange, nameOfTaxon, refuseStale } from '../library/change.ts';
import * as queries from '../library/queries.ts';
import { addRecord, recordNow, recordsAt } from '../library/records.ts';

interface RangeBody {
  range: Range;
  baseRevision: number;
}

export const rangeRoutes = [
  route({
    method: 'get',
    path: '/api/library/ranges',
    summary: 'The ranges of all taxa, by the id of the taxon.',
    allow: STAFF,
    handle: async ({ db }) => {
      const library = (await queries.theLibrary(db))!;
      const revision = await queries.newestRevision(db, library.id);
      const rows = await recordsAt<Range>(db, library.id, 'range', revision);
      return { revision, ranges: Object.fromEntries(rows.map(({ key, record }) => [key, record])) };
    },
  }),
  route<unknown, { taxonId: string }>({
    method: 'get',
    path: '/api/library/taxa/{taxonId}/range',
    summary: 'The range of a taxon: H3 cells of resolution 4, each with its status.',
    allow: STAFF,
    handle: async ({ db, params }) => {
      await nameOfTaxon(db, params.taxonId);
      const library = (await queries.theLibrary(db))!;
      const held = await recordNow<Range>(db, library.id, 'range', params.taxonId);
      return {
        range: held?.record ?? EMPTY_RANGE,
        revision: await queries.newestRevision(db, library.id),
      };
    },
  }),
  route<RangeBody, { taxonId: string }>({
    method: 'put',
    path: '/api/library/taxa/{taxonId}/range',
    summary: 'Saves the range of a taxon as one revision.',
    allow: INSTRUCTORS,
    body: Joi.object({
      range: Joi.object({
        cells: Joi.object()
          .pattern(Joi.string(), Joi.string().valid(...RANGE_STATUSES))
          .required(),
        note: Joi.string().trim().allow('').max(300),
      }).required(),
      baseRevision: Joi.number().integer().min(0).required(),
    }),
    handle: ({ db, body, params, who, now }) =>
      db.transaction(async (tx) => {
        const name = await nameOfTaxon(tx, params.taxonId);
        const strange = Object.keys(body.range.cells).find((cell) => !isRangeCell(cell));
        if (strange)
          throw badInput(`“${strange}” is no cell of the range map. Reload the page and paint it again.`);
        await refuseStale(tx, 'range', params.taxonId, body.baseRevision, `The range of ${name}`);
        const { libraryId, revision } = await beginChange(tx, accountOf(who), now, `Range of ${name}`);
        await addRecord(tx, libraryId, 'range', params.taxonId, revision, body.range);
        return { revision };
      }),
  }),
];
