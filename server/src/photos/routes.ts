import { randomUUID } from 'node:crypto';
import * as photos from '@hurrow/contract/photos';
import { type PhotoRecord } from '@hurrow/core/measurement';
import { notFound } from '../api/problem.ts';
import { say } from '../api/say.ts';
import { accountOf, serve } from '../api/route.ts';
import type { Db } from '../db/index.ts';
import { beginChange, nameOfTaxon, refuseStale } from '../library/change.ts';
import * as species from '../library/queries.ts';
import { addRecord, recordNow } from '../library/records.ts';
import { photosOf } from './described.ts';
import { encodePhoto } from './encode.ts';
import * as queries from './queries.ts';

/** Degrees to which the position of a protected tree is rounded: about 11 km of latitude. */
const ROUNDED_TO = 0.1;

export const photoRoutes = [
  serve(photos.ofTaxon, async ({ db, params }) => {
    await nameOfTaxon(db, params.taxonId);
    const library = (await species.theLibrary(db))!;
    const revision = await species.newestRevision(db, library.id);
    return { revision, photos: await photosOf(db, { id: library.id, revision }, [params.taxonId]) };
  }),
  serve(photos.take, async ({ db, body, params, query, who, now }) => {
    const name = await nameOfTaxon(db, params.taxonId);
    const encoded = await encodePhoto(Buffer.isBuffer(body) ? body : Buffer.alloc(0));
    return db.transaction(async (tx) => {
      const { libraryId, revision } = await beginChange(tx, accountOf(who), now, `Photo of ${name}`);
      const id = randomUUID();
      await queries.addPhoto(tx, id, libraryId, params.taxonId, accountOf(who), now);
      for (const { size, width, height, bytes } of encoded.sizes)
        await queries.addSize(tx, id, size, width, height, bytes);
      const position =
        query.keepPosition && encoded.position
          ? { position: await rounded(tx, params.taxonId, encoded.position) }
          : {};
      const record: PhotoRecord = {
        organ: 'leaf',
        qualifiers: {},
        credit: '',
        licence: '',
        annotations: [],
        ...(encoded.month ? { month: encoded.month } : {}),
        ...position,
      };
      await addRecord(tx, libraryId, 'photo', id, revision, record);
      return { id, revision, record, positionFound: encoded.position !== undefined };
    });
  }),
  serve(photos.describe, ({ db, body, params, who, now }) =>
    db.transaction(async (tx) => {
      const taxonId = await queries.photoTaxon(tx, params.photoId);
      if (!taxonId) throw notFound('photo');
      await refuseStale(tx, 'photo', params.photoId, body.baseRevision, say`What is said of this photo`);
      const name = await nameOfTaxon(tx, taxonId);
      const { libraryId, revision } = await beginChange(tx, accountOf(who), now, `Photo of ${name}`);
      const { position, ...record } = body.record;
      await addRecord(tx, libraryId, 'photo', params.photoId, revision, {
        ...record,
        ...(position ? { position: await rounded(tx, taxonId, position) } : {}),
      });
      return { revision };
    }),
  ),
  serve(photos.remove, ({ db, params, who, now }) =>
    db.transaction(async (tx) => {
      const library = (await species.theLibrary(tx))!;
      if (!(await recordNow(tx, library.id, 'photo', params.photoId))?.record) throw notFound('photo');
      const { libraryId, revision } = await beginChange(tx, accountOf(who), now, 'Took a photo out');
      await addRecord(tx, libraryId, 'photo', params.photoId, revision, null);
      return { revision };
    }),
  ),
  serve(photos.picture, async ({ db, params }) => {
    const bytes = await queries.photoBytes(db, params.photoId, params.size);
    if (!bytes) throw notFound('photo');
    return Buffer.from(bytes);
  }),
];

/** A position as it may be kept: that of a protected taxon is rounded, so that nobody finds the tree by it. */
async function rounded(db: Db, taxonId: string, position: { latitude: number; longitude: number }) {
  const taxon = await species.taxonNow(db, taxonId);
  if (!taxon?.cautions.some((caution) => caution.kind === 'protected')) return position;
  const round = (degrees: number) => Number((Math.round(degrees / ROUNDED_TO) * ROUNDED_TO).toFixed(1));
  return { latitude: round(position.latitude), longitude: round(position.longitude) };
}
