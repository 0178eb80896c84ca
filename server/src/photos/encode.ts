import exifr from 'exifr';
import { PHOTO_SIZES, type PhotoSize } from '@hurrow/contract/photos';
import sharp, { type Sharp } from 'sharp';
import { badInput } from '../api/problem.ts';
import { say } from '../api/say.ts';
import { turns } from '../db/turns.ts';

// What was decoded for one picture is of no use to the next.
sharp.cache(false);

export interface EncodedPhoto {
  sizes: { size: PhotoSize; width: number; height: number; bytes: Buffer }[];
  /** Month in which the picture was taken, 1–12, where the camera wrote it down. */
  month?: number;
  position?: { latitude: number; longitude: number };
}

const READ = ['jpeg', 'png', 'webp', 'gif', 'tiff', 'avif', 'heif'];

/** A large picture takes some hundred megabytes while it is decoded: one after another. */
const inTurn = turns();

/**
 * Decodes an uploaded picture, turns it upright and encodes it again as WebP in three sizes (longest side 240, 1,280 and
 * 2,560 px). Everything else in the file, its position among it, stays behind. Throws 422 on what is no photograph.
 */
export const encodePhoto = (file: Buffer): Promise<EncodedPhoto> => inTurn(() => encoded(file));

async function encoded(file: Buffer): Promise<EncodedPhoto> {
  if (file.length === 0)
    throw badInput(say`No picture came with this. Choose a JPEG, PNG, WebP, HEIC or TIFF.`);
  const format = await formatOf(file);
  if (!format || !READ.includes(format))
    throw badInput(say`This file is no photograph that can be read. Send a JPEG, PNG, WebP, HEIC or TIFF.`);
  try {
    const full = await resized(open(file), PHOTO_SIZES.full);
    const sizes: EncodedPhoto['sizes'] = [];
    for (const [size, edge] of Object.entries(PHOTO_SIZES) as [PhotoSize, number][])
      // The smaller ones from the largest: the file itself is decoded once.
      sizes.push({ size, ...(size === 'full' ? full : await resized(sharp(full.bytes), edge)) });
    return { sizes, ...(await readTags(file)) };
  } catch {
    throw badInput(
      say`This photograph is damaged and could not be read to its end. Export it again and send that.`,
    );
  }
}

const open = (file: Buffer) =>
  sharp(file, { limitInputPixels: 80_000_000, failOn: 'error', sequentialRead: true });

async function formatOf(file: Buffer): Promise<string | undefined> {
  try {
    return (await open(file).metadata()).format;
  } catch {
    return undefined;
  }
}

async function resized(picture: Sharp, edge: number) {
  const { data, info } = await picture
    .rotate()
    .resize({ width: edge, height: edge, fit: 'inside', withoutEnlargement: true })
    .webp({ quality: 82 })
    .toBuffer({ resolveWithObject: true });
  return { width: info.width, height: info.height, bytes: data };
}

async function readTags(file: Buffer): Promise<Pick<EncodedPhoto, 'month' | 'position'>> {
  const taken = (await exifr.parse(file, ['DateTimeOriginal']).catch(() => undefined)) as
    { DateTimeOriginal?: Date } | undefined;
  const gps = await exifr.gps(file).catch(() => undefined);
  const date = taken?.DateTimeOriginal;
  const known = gps && Number.isFinite(gps.latitude) && Number.isFinite(gps.longitude);
  return {
    ...(date instanceof Date && !Number.isNaN(date.getTime()) ? { month: date.getMonth() + 1 } : {}),
    ...(known ? { position: { latitude: gps.latitude, longitude: gps.longitude } } : {}),
  };
}
