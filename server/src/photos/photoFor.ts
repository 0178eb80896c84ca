import { mayLeave } from '@hurrow/core/measurement';
import type { View } from '@hurrow/core/view';
import type { Db } from '../db/index.ts';
import { photosOf } from './described.ts';
import { photoBytes } from './queries.ts';

/**
 * The picture for a photo station: the newest photo of the taxon that may leave the library and shows an organ of the view,
 * wrapped in an SVG that holds neither name nor mark. Undefined where there is none: the instructor shows one.
 */
export async function photoFor(
  db: Db,
  library: { id: string; revision: number },
  taxonId: string,
  view: View,
): Promise<string | undefined> {
  const photos = await photosOf(db, library, [taxonId]);
  for (const { id, width, height, record } of photos.reverse()) {
    if (!mayLeave(record) || !view.organs.includes(record.organ)) continue;
    const bytes = await photoBytes(db, id, 'screen');
    if (!bytes) continue;
    const data = Buffer.from(bytes).toString('base64');
    return (
      `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${width} ${height}" role="img">` +
      `<title>Photo for this station</title><image href="data:image/webp;base64,${data}" width="${width}" height="${height}"/></svg>`
    );
  }
  return undefined;
}
