import sharp from 'sharp';
import * as prints from '@hurrow/contract/prints';
import { mayLeave } from '@hurrow/core/measurement';
import type { Range } from '@hurrow/core/range';
import { dayOfYear } from '@hurrow/core/season';
import { badInput } from '../api/problem.ts';
import { say } from '../api/say.ts';
import { serve } from '../api/route.ts';
import type { Db } from '../db/index.ts';
import { photosOf } from '../photos/described.ts';
import { photoBytes } from '../photos/queries.ts';
import { courseLibrary } from '../library/committed.ts';
import { recordNow } from '../library/records.ts';
import { spokenIn } from '../language/spokenIn.ts';
import { printed } from './printed.ts';
import { type PrintedPhoto } from './profileSheet.ts';

/** Specimens are drawn in leaf with their buds set, unless the caller's date is a better one. */
const DRAWN_ON = dayOfYear('2026-08-20');

export const printRoutes = [
  serve(prints.species, async ({ db, params, query }) => {
    const read = await courseLibrary(db, { namesIn: query.names ?? null });
    const language = query.names ?? null;
    const { library } = read;
    const list = read.profilesOf(query.taxa.split(','));
    if (list.length === 0) throw badInput(say`None of these species is in the library. Choose at least one.`);
    const options = {
      audience: query.audience,
      units: query.units,
      black: query.ink === 'black',
      language,
      vocabulary: spokenIn(read.vocabulary, language),
      day: DRAWN_ON,
      sources: library.sources,
    };
    if (params.kind === 'cards') return printed(query.paper, 'cards', list, query.paper, options);
    const first = list[0]!;
    const range = await recordNow<Range>(db, library.id, 'range', first.taxon.id);
    const photos = await printablePhotos(db, library, first.taxon.id);
    return printed(query.paper, 'profile', first, range?.record ?? undefined, photos, options);
  }),
];

/** Up to three photos that may leave the library, as JPEG with their credit. */
async function printablePhotos(
  db: Db,
  library: { id: string; revision: number },
  taxonId: string,
): Promise<PrintedPhoto[]> {
  const printed: PrintedPhoto[] = [];
  for (const { id, record } of await photosOf(db, library, [taxonId])) {
    if (!mayLeave(record) || printed.length === 3) continue;
    const bytes = await photoBytes(db, id, 'screen');
    if (!bytes) continue;
    const jpeg = await sharp(bytes).resize({ width: 640 }).jpeg({ quality: 80 }).toBuffer();
    printed.push({
      dataUrl: `data:image/jpeg;base64,${jpeg.toString('base64')}`,
      caption: [record.caption, `${record.credit}, ${record.licence}`].filter(Boolean).join('. '),
    });
  }
  return printed;
}
