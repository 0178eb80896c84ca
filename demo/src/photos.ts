import { randomUUID } from 'node:crypto';
import sharp from 'sharp';
import type { ProfiledTaxon } from '@hurrow/core/evidence';
import { sheetAsScore, type Annotation, type PhotoRecord } from '@hurrow/core/measurement';
import { drawSpecimen, layOut, sampleSpecimen } from '@hurrow/core/specimen';
import { MEDIUM_VIEWS } from '@hurrow/core/view';
import { BUILT_IN } from '@hurrow/core/vocabulary';
import type { Db } from '@hurrow/server/db';
import { encodePhoto } from '@hurrow/server/photos/encode';
import * as lessons from '@hurrow/server/lessons/queries';
import * as photos from '@hurrow/server/photos/queries';
import * as species from '@hurrow/server/library/queries';
import { addRecord } from '@hurrow/server/library/records';
import { ofTaxon, writeScores } from '@hurrow/server/library/store';

const FRAME = { width: 1200, height: 1100 };
/** Millimetres to a pixel, so that a blade and a rule of 10 cm fill the picture. */
const SCALE = 0.115;

/** Points at the flattened stalk of the upper leaf. */
const STALK: Annotation = {
  shape: 'arrow',
  from: { x: 0.16, y: 0.11 },
  to: { x: 0.31, y: 0.235 },
  text: 'flat stalk',
  characterId: 'leaf.petioleSection',
  state: 'flattened',
};

/** Enlarges its edge: teeth fine and rounded. */
const TEETH: Annotation = {
  shape: 'inset',
  from: { x: 0.6, y: 0.5 },
  to: { x: 0.72, y: 0.62 },
  characterId: 'leaf.teeth',
};

/** A leaf laid on paper beside a rule, drawn by the product itself: it stands for a photograph in the demo. */
function leafOnPaper(profiled: ProfiledTaxon, seed: number): string {
  const view = { ...MEDIUM_VIEWS.photo, day: 220, qualifiers: { plantAge: 'mature' } };
  const traits = sampleSpecimen(profiled, BUILT_IN, view, seed);
  const scene = drawSpecimen(traits, ['leaf'])!;
  const { paths } = layOut(scene, {
    width: 1200,
    height: 940,
    insets: false,
    millimetresPerPixel: SCALE,
    headroom: 40,
  });
  const drawn = paths
    .map(
      (path) =>
        `<path d="${path.d}" fill="${path.fill}" stroke="${path.stroke}" stroke-width="${path.strokeWidth * 2}"/>`,
    )
    .join('');
  const pixels = 1 / SCALE;
  const ticks = Array.from({ length: 101 }, (_, mm) => {
    const length = mm % 10 === 0 ? 34 : mm % 5 === 0 ? 24 : 14;
    const label =
      mm % 10 === 0
        ? `<text x="${40 + mm * pixels}" y="1040" font-size="24" text-anchor="middle">${mm / 10}</text>`
        : '';
    return `<path d="M${40 + mm * pixels} 970v${length}" stroke="#222" stroke-width="2"/>${label}`;
  }).join('');
  return (
    `<svg xmlns="http://www.w3.org/2000/svg" width="${FRAME.width}" height="${FRAME.height}" font-family="sans-serif">` +
    `<rect width="100%" height="100%" fill="#f3efe4"/>${drawn}` +
    `<rect x="20" y="970" width="${20 + 100 * pixels + 20}" height="86" fill="#e6cf8d" stroke="#6d5a22" stroke-width="2"/>${ticks}</svg>`
  );
}

/** Two drawn photographs with a rule, and a sheet of aspen leaves measured by the instructor. */
export async function fillPhotos(
  db: Db,
  libraryId: string,
  accountId: string,
  profiles: readonly ProfiledTaxon[],
): Promise<void> {
  const revision = await species.addRevision(
    db,
    libraryId,
    accountId,
    new Date('2026-09-05T15:00:00Z'),
    'Photos and measurements',
  );
  const aspen = profiles.find(({ taxon }) => taxon.id === 'populus-tremuloides')!;
  for (const [i, profiled] of [
    aspen,
    profiles.find(({ taxon }) => taxon.id === 'betula-papyrifera')!,
  ].entries()) {
    const id = randomUUID();
    await photos.addPhoto(db, id, libraryId, profiled.taxon.id, accountId, new Date('2026-09-05T15:00:00Z'));
    const { sizes } = await encodePhoto(
      await sharp(Buffer.from(leafOnPaper(profiled, 5 + i)))
        .png()
        .toBuffer(),
    );
    for (const { size, width, height, bytes } of sizes)
      await photos.addSize(db, id, size, width, height, bytes);
    const record: PhotoRecord = {
      organ: 'leaf',
      qualifiers: {},
      month: 9,
      credit: 'Drawn by Hurrow',
      licence: 'CC0 1.0',
      caption: `A leaf of ${profiled.taxon.commonNames[0]} with a rule, drawn in place of a photograph`,
      annotations: profiled === aspen ? [STALK, TEETH] : [],
      scale: SCALE / 1000,
    };
    await addRecord(db, libraryId, 'photo', id, revision, record);
    await intoLesson(db, profiled.taxon.id, id);
  }
  const view = { ...MEDIUM_VIEWS.photo, day: 220, qualifiers: {} };
  const values = Array.from({ length: 12 }, (_, seed) => {
    const length = sampleSpecimen(aspen, BUILT_IN, view, 100 + seed).values['leaf.length'];
    return Math.round(Number(length) * 1000) / 1000;
  });
  const sheet = {
    taxonId: aspen.taxon.id,
    characterId: 'leaf.length',
    qualifiers: {},
    values: values.map((value) => ({ value })),
  };
  await species.addSource(db, libraryId, 'measured', 'Own measurements', 2);
  await addRecord(db, libraryId, 'sheet', `${aspen.taxon.id}|leaf.length|`, revision, sheet);
  await writeScores(
    db,
    revision,
    ofTaxon(aspen.taxon.id, [
      {
        characterId: 'leaf.length',
        qualifiers: {},
        sourceId: 'measured',
        value: sheetAsScore(values, BUILT_IN.get('leaf.length')!)!,
      },
    ]),
  );
}

/** Puts a photo in the place of the drawing where the lesson of its tree comes to the leaf. */
async function intoLesson(db: Db, taxonId: string, photoId: string): Promise<void> {
  const sets = await db.query<{ setId: string; courseId: string }>(
    `select course_set.id as "setId", course_set.course_id as "courseId"
       from course_set join course_taxon on course_taxon.set_id = course_set.id
      where course_taxon.taxon_id = $1`,
    [taxonId],
  );
  for (const { setId, courseId } of sets) {
    const edits = await lessons.editsOf(db, setId);
    const pictures = { ...edits.pictures, [`${taxonId}/leaf`]: [photoId] };
    await lessons.keepEdits(db, courseId, setId, { ...edits, pictures });
  }
}
