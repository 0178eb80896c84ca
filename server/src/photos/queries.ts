import type { Db } from '../db/index.ts';
import { uuidOf } from '../db/uuid.ts';

export const addPhoto = (
  db: Db,
  id: string,
  libraryId: string,
  taxonId: string,
  accountId: string,
  at: Date,
) =>
  db.query('insert into photo (id, library_id, taxon_id, account_id, at) values ($1, $2, $3, $4, $5)', [
    id,
    libraryId,
    taxonId,
    accountId,
    at,
  ]);

export const addSize = (
  db: Db,
  photoId: string,
  size: string,
  width: number,
  height: number,
  bytes: Uint8Array,
) =>
  db.query('insert into photo_size (photo_id, size, width, height, bytes) values ($1, $2, $3, $4, $5)', [
    photoId,
    size,
    width,
    height,
    bytes,
  ]);

export const photosOfTaxa = (db: Db, taxonIds: readonly string[]) =>
  db.query<{ id: string; taxonId: string; width: number; height: number }>(
    `select photo.id, photo.taxon_id as "taxonId", photo_size.width, photo_size.height
       from photo join photo_size on photo_size.photo_id = photo.id and photo_size.size = 'screen'
      where photo.taxon_id = any($1) order by photo.at, photo.id`,
    [[...taxonIds]],
  );

export const photoBytes = async (db: Db, photoId: string, size: string) =>
  (
    await db.query<{ bytes: Uint8Array }>(
      'select bytes from photo_size where photo_id = $1::uuid and size = $2',
      [uuidOf(photoId), size],
    )
  )[0]?.bytes;

export const photoTaxon = async (db: Db, photoId: string) =>
  (
    await db.query<{ taxonId: string }>('select taxon_id as "taxonId" from photo where id = $1::uuid', [
      uuidOf(photoId),
    ])
  )[0]?.taxonId;
