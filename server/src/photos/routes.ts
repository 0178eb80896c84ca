import { randomUUID } from 'node:crypto';
import Joi from 'joi';
import { LICENCES, type PhotoRecord } from '@hurrow/core/measurement';
import { notFound } from '../api/problem.ts';
import { accountOf, INSTRUCTORS, route, STAFF } from '../api/route.ts';
import type { Db } from '../db/index.ts';
import { beginChange, nameOfTaxon, refuseStale } from '../library/change.ts';
import * as species from '../library/queries.ts';
import { addRecord, recordNow, recordsAt } from '../library/records.ts';
import { qualifiersSchema } from '../library/schema.ts';
import { encodePhoto, PHOTO_SIZES, type PhotoSize } from './encode.ts';
import * as queries from './queries.ts';

const pixel = Joi.object({
  x: Joi.number().min(0).max(1).required(),
  y: Joi.number().min(0).max(1).required(),
});

const recordSchema = Joi.object<PhotoRecord>({
  organ: Joi.string()
    .valid('habit', 'bark', 'twig', 'bud', 'leaf', 'flower', 'fruit', 'wood', 'site')
    .required(),
  qualifiers: qualifiersSchema,
  month: Joi.number().integer().min(1).max(12),
  credit: Joi.string().trim().allow('').max(120).required(),
  licence: Joi.string()
    .valid('', ...LICENCES)
    .required(),
  caption: Joi.string().trim().allow('').max(300),
  position: Joi.object({ latitude: Joi.number().required(), longitude: Joi.number().required() }),
  annotations: Joi.array()
    .items(
      Joi.object({
        shape: Joi.string().valid('circle', 'arrow', 'label', 'inset').required(),
        from: pixel.required(),
        to: pixel.required(),
        text: Joi.string().trim().allow('').max(120),
        characterId: Joi.string(),
        state: Joi.string(),
      }),
    )
    .max(40)
    .required(),
});

/** Degrees to which the position of a protected tree is rounded: about 11 km of latitude. */
const ROUNDED_TO = 0.1;

export const photoRoutes = [
  route<unknown, { taxonId: string }>({
    method: 'get',
    path: '/api/library/taxa/{taxonId}/photos',
    summary: 'The photos of a taxon with credit, licence, organ and annotations.',
    allow: STAFF,
    handle: async ({ db, params }) => {
      await nameOfTaxon(db, params.taxonId);
      const library = (await species.theLibrary(db))!;
      const revision = await species.newestRevision(db, library.id);
      const records = await recordsAt<PhotoRecord>(db, library.id, 'photo', revision);
      const photos = await queries.photosOfTaxon(db, params.taxonId);
      return {
        revision,
        photos: photos.flatMap((photo) => {
          const record = records.find(({ key }) => key === photo.id)?.record;
          return record ? [{ ...photo, record }] : [];
        }),
      };
    },
  }),
  route<Buffer, { taxonId: string }, { keepPosition: boolean }>({
    method: 'post',
    path: '/api/library/taxa/{taxonId}/photos',
    summary: 'Takes a picture: decoded, turned upright, encoded again in three sizes, its position removed.',
    allow: INSTRUCTORS,
    takesImage: true,
    limit: '30mb',
    query: Joi.object({ keepPosition: Joi.boolean().default(false) }),
    handle: async ({ db, body, params, query, who, now }) => {
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
    },
  }),
  route<{ record: PhotoRecord; baseRevision: number }, { photoId: string }>({
    method: 'put',
    path: '/api/library/photos/{photoId}',
    summary: 'What is said of a photo: organ, month, credit, licence, annotations.',
    allow: INSTRUCTORS,
    body: Joi.object({
      record: recordSchema.required(),
      baseRevision: Joi.number().integer().min(0).required(),
    }),
    handle: ({ db, body, params, who, now }) =>
      db.transaction(async (tx) => {
        const taxonId = await queries.photoTaxon(tx, params.photoId);
        if (!taxonId) throw notFound('photo');
        await refuseStale(tx, 'photo', params.photoId, body.baseRevision, 'What is said of this photo');
        const name = await nameOfTaxon(tx, taxonId);
        const { libraryId, revision } = await beginChange(tx, accountOf(who), now, `Photo of ${name}`);
        const { position, ...record } = body.record;
        await addRecord(tx, libraryId, 'photo', params.photoId, revision, {
          ...record,
          ...(position ? { position: await rounded(tx, taxonId, position) } : {}),
        });
        return { revision };
      }),
  }),
  route<unknown, { photoId: string }>({
    method: 'delete',
    path: '/api/library/photos/{photoId}',
    summary: 'Takes a photo out of the library. Can be undone.',
    allow: INSTRUCTORS,
    handle: ({ db, params, who, now }) =>
      db.transaction(async (tx) => {
        const library = (await species.theLibrary(tx))!;
        if (!(await recordNow(tx, library.id, 'photo', params.photoId))?.record) throw notFound('photo');
        const { libraryId, revision } = await beginChange(tx, accountOf(who), now, 'Took a photo out');
        await addRecord(tx, libraryId, 'photo', params.photoId, revision, null);
        return { revision };
      }),
  }),
  route<unknown, { photoId: string; size: PhotoSize }>({
    method: 'get',
    path: '/api/library/photos/{photoId}/{size}',
    summary: 'A picture in one of its sizes: thumb, screen or full.',
    allow: STAFF,
    answers: 'image/webp',
    params: Joi.object({
      photoId: Joi.string().max(60).required(),
      size: Joi.string()
        .valid(...Object.keys(PHOTO_SIZES))
        .required(),
    }),
    handle: async ({ db, params }) => {
      const bytes = await queries.photoBytes(db, params.photoId, params.size);
      if (!bytes) throw notFound('photo');
      return Buffer.from(bytes);
    },
  }),
];

/** A position as it may be kept: that of a protected taxon is rounded, so that nobody finds the tree by it. */
async function rounded(db: Db, taxonId: string, position: { latitude: number; longitude: number }) {
  const taxon = await species.taxonNow(db, taxonId);
  if (!taxon?.cautions.some((caution) => caution.kind === 'protected')) return position;
  const round = (degrees: number) => Number((Math.round(degrees / ROUNDED_TO) * ROUNDED_TO).toFixed(1));
  return { latitude: round(position.latitude), longitude: round(position.longitude) };
}
