import Joi from 'joi';
import { LICENCES, type PhotoRecord } from '@hurrow/core/measurement';
import { endpoint, INSTRUCTORS, STAFF, type Revised, type Sent } from './endpoint.ts';
import { qualifiersSchema } from './library.ts';

/** A picture as it is sent: a file of the browser, the bytes on the server. */
export type Picture = Blob | Uint8Array;

/** The sizes in which a picture is kept, by its longest side in pixels. */
export const PHOTO_SIZES = { thumb: 240, screen: 1280, full: 2560 } as const;
export type PhotoSize = keyof typeof PHOTO_SIZES;

export interface Photo {
  id: string;
  taxonId: string;
  /** Size of the picture on the screen, in pixels. */
  width: number;
  height: number;
  record: PhotoRecord;
}

/** A picture that was taken in. */
export interface TakenPhoto extends Revised {
  id: string;
  record: PhotoRecord;
  /** The file said where it was taken. */
  positionFound: boolean;
}

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
  // A micrometre a pixel through a lens, ten metres a pixel of a mountainside.
  scale: Joi.number().min(1e-6).max(10),
});

export const ofTaxon = endpoint<{ answer: { revision: number; photos: Photo[] } }>()({
  method: 'get',
  path: '/api/library/taxa/{taxonId}/photos',
  summary: 'The photos of a taxon with credit, licence, organ and annotations.',
  allow: STAFF,
});

export const take = endpoint<{ query: { keepPosition: boolean }; body: Picture; answer: TakenPhoto }>()({
  method: 'post',
  path: '/api/library/taxa/{taxonId}/photos',
  summary: 'Takes a picture: decoded, turned upright, encoded again in three sizes, its position removed.',
  allow: INSTRUCTORS,
  takesImage: true,
  limit: '30mb',
  query: Joi.object({ keepPosition: Joi.boolean().default(false) }),
});

export const describe = endpoint<{ body: { record: PhotoRecord; baseRevision: number }; answer: Revised }>()({
  method: 'put',
  path: '/api/library/photos/{photoId}',
  summary: 'What is said of a photo: organ, month, credit, licence, annotations.',
  allow: INSTRUCTORS,
  body: Joi.object({
    record: recordSchema.required(),
    baseRevision: Joi.number().integer().min(0).required(),
  }),
});

export const remove = endpoint<{ answer: Revised }>()({
  method: 'delete',
  path: '/api/library/photos/{photoId}',
  summary: 'Takes a photo out of the library. Can be undone.',
  allow: INSTRUCTORS,
});

export const picture = endpoint<{ params: { photoId: string; size: PhotoSize }; answer: Sent }>()({
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
});
