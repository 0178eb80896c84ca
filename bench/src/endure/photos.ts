import sharp from 'sharp';
import type { Row } from '../row.ts';
import { residentOf } from './resident.ts';
import { withHurrow } from './withHurrow.ts';

/** Pixels along each side of 79 megapixels. */
const SIDE = 8888;

/** Pictures of the largest size that is taken, sent at once: the memory that they take beyond that of a Hurrow at rest. */
export async function photos(folder: string, count: number): Promise<Row[]> {
  return withHurrow(folder, async ({ base, child, owner }) => {
    const { taxa } = (await owner.get<{ taxa: { taxon: { id: string } }[] }>('/api/library')).body;
    const picture = await sharp({
      create: { width: SIDE, height: SIDE, channels: 3, background: { r: 40, g: 120, b: 60 } },
    })
      .withMetadata({ orientation: 6 })
      .jpeg()
      .toBuffer();
    const atRest = residentOf(child.pid!);
    let most = 0;
    const watch = setInterval(() => (most = Math.max(most, residentOf(child.pid!))), 20);
    const sent = await Promise.all(
      Array.from({ length: count }, () =>
        fetch(`${base}/api/library/taxa/${taxa[0]!.taxon.id}/photos`, {
          method: 'POST',
          headers: { ...owner.headers(), 'x-hurrow': '1', 'content-type': 'image/jpeg' },
          body: new Uint8Array(picture),
        }),
      ),
    );
    clearInterval(watch);
    const taken = sent.filter(({ status }) => status === 200).length;
    return [
      {
        what: `${count} pictures of 79 megapixels at once: taken`,
        value: String(taken),
        wanted: String(count),
      },
      { what: 'memory that they take', value: `${Math.round(most - atRest)} MB`, wanted: '< 300 MB' },
    ];
  });
}
