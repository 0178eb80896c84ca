import sharp from 'sharp';
import type { Photo } from '@hurrow/contract/photos';
import type { LessonStop } from '@hurrow/core/lesson';
import { mayLeave, photosSvg, type MarkLook } from '@hurrow/core/measurement';
import type { Db } from '../db/index.ts';
import { photoBytes } from '../photos/queries.ts';

/** The photos of a point with their marks, put side by side: what stands on a slide or on paper. */
export interface StopPicture {
  /** JPEG, as an address of its own bytes. */
  data: string;
  /** Pixels. */
  width: number;
  height: number;
  /** Whose they are. */
  credit: string;
}

const LOOK: MarkLook = { paper: '#ffffff', line: '#a3361f', ink: '#17262b' };
/** Pixels of the longer side. */
const LONGEST = 1600;

/** Photos of a point that may leave the library, in its order. */
export const leavingPhotos = (stop: Pick<LessonStop, 'photos'>, photos: readonly Photo[]): Photo[] =>
  (stop.photos ?? []).flatMap(
    (id) => photos.find((photo) => photo.id === id && mayLeave(photo.record)) ?? [],
  );

/** Pictures of all points that have photos which may leave the library, by key. */
export async function picturesOf(
  db: Db,
  stops: readonly LessonStop[],
  photos: readonly Photo[],
  units: 'metric' | 'imperial',
): Promise<Record<string, StopPicture>> {
  const pictures: Record<string, StopPicture> = {};
  for (const stop of stops) {
    const picture = await pictureOf(db, leavingPhotos(stop, photos), units);
    if (picture) pictures[stop.key] = picture;
  }
  return pictures;
}

async function pictureOf(
  db: Db,
  photos: readonly Photo[],
  units: 'metric' | 'imperial',
): Promise<StopPicture | undefined> {
  const drawn = [];
  for (const { id, width, height, record } of photos) {
    const bytes = await photoBytes(db, id, 'screen');
    if (!bytes) continue;
    const jpeg = await sharp(bytes).jpeg({ quality: 90 }).toBuffer();
    drawn.push({ record, width, height, href: `data:image/jpeg;base64,${jpeg.toString('base64')}` });
  }
  if (drawn.length === 0) return undefined;
  const { data, info } = await sharp(Buffer.from(photosSvg(drawn, LOOK, units).svg))
    .resize({ width: LONGEST, height: LONGEST, fit: 'inside', withoutEnlargement: true })
    .flatten({ background: LOOK.paper })
    .jpeg({ quality: 86 })
    .toBuffer({ resolveWithObject: true });
  const credits = photos.map(({ record }) => `${record.credit}, ${record.licence}`);
  return {
    data: `data:image/jpeg;base64,${data.toString('base64')}`,
    width: info.width,
    height: info.height,
    credit: [...new Set(credits)].join('; '),
  };
}
