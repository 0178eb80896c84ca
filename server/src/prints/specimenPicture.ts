import sharp from 'sharp';
import * as prints from '@hurrow/contract/prints';
import { drawPlate, drawingToSvg, sampleSpecimen } from '@hurrow/core/specimen';
import { readQualifierKey } from '@hurrow/core/score';
import { scientificName } from '@hurrow/core/taxon';
import type { ShownOrgan } from '@hurrow/core/vocabulary';
import { badInput, notFound } from '../api/problem.ts';
import { say } from '../api/say.ts';
import { serve } from '../api/route.ts';
import { course as courseOf } from '../courses/queries.ts';
import { committedLibrary } from '../library/committed.ts';

const FRAME = { width: 900, height: 400 };
/** Pixels of the picture to one of the frame: 1,800 px across print well at 15 cm. */
const DENSITY = 2;
const ORGANS: ShownOrgan[] = ['twig', 'bud', 'leaf', 'flower', 'fruit', 'bark', 'habit', 'wood'];

export const specimenPictureRoutes = [
  serve(prints.specimen, async ({ db, params, query }) => {
    const read = await committedLibrary(db);
    const { library, vocabulary } = read;
    const profiled = read.profileOf(params.taxonId);
    if (!profiled) throw notFound('species');
    const organs = ORGANS.filter((organ) => query.organs.split(',').includes(organ));
    const site = await courseOf(db, query.course);
    const traits = sampleSpecimen(
      profiled,
      vocabulary,
      {
        organs,
        day: query.day,
        nearness: 'hand',
        aids: ['eye', 'lens', 'cut'],
        qualifiers: readQualifierKey(query.qualifiers),
      },
      query.seed || 11,
      { typical: query.seed === 0, reference: library.reference, ...(site ? { site } : {}) },
    );
    const drawing = drawPlate(traits, organs, {
      ...FRAME,
      units: site?.units ?? 'metric',
      plain: query.ink === 'line',
      lying: query.lying,
    });
    if (!drawing)
      throw badInput(
        say`Nothing of this specimen can be drawn on this day. Choose other parts or another day.`,
      );
    const svg = drawingToSvg(drawing, scientificName(profiled.taxon));
    return sharp(Buffer.from(svg), { density: 72 * DENSITY })
      .flatten({ background: '#ffffff' })
      .png()
      .toBuffer();
  }),
];
