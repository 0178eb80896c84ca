import type { Photo } from '@hurrow/contract/photos';
import type { PhotoRecord } from '@hurrow/core/measurement';
import type { Db } from '../db/index.ts';
import { recordsAt } from '../library/records.ts';
import { photosOfTaxa } from './queries.ts';

/** The photos of some taxa with what is said of them at a revision, the oldest first; those taken out are left out. */
export async function photosOf(
  db: Db,
  library: { id: string; revision: number },
  taxonIds: readonly string[],
): Promise<Photo[]> {
  const photos = await photosOfTaxa(db, taxonIds);
  if (photos.length === 0) return [];
  const records = await recordsAt<PhotoRecord>(db, library.id, 'photo', library.revision);
  const said = new Map(records.map(({ key, record }) => [key, record]));
  return photos.flatMap((photo) => {
    const record = said.get(photo.id);
    return record ? [{ ...photo, record }] : [];
  });
}
