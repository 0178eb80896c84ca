import pptx from 'pptxgenjs';
import { tellsIn, type LessonStop } from '@hurrow/core/lesson';
import { commonName, scientificName } from '@hurrow/core/taxon';
import { drawingOfOne, headingOf, shownAt } from './drawn.ts';
import { asPicture, drawOnSlide, LETTER, type Place, type Slide } from './onSlide.ts';
import type { LessonToDraw } from './toDraw.ts';
import { putIn } from '@hurrow/core/vocabulary';
import { upperFirst } from '@hurrow/core/words';

export interface SlidesTask {
  lesson: LessonToDraw;
  shape: 'wide' | 'classic';
}

// The package is written for both module systems; what Node hands over of it is the class or holds it.
const Pptx = ((pptx as unknown as { default?: typeof pptx }).default ?? pptx) as typeof pptx;

const SERIF = 'Source Serif 4';
const SANS = 'Source Sans 3';
const INK = '17262B';
const INK_2 = '405055';
const ACTION = '1D6A70';
/** Inches. */
const HEIGHT = 7.5;
const WIDTHS = { wide: 13.333, classic: 10 };
const LAYOUTS = { wide: 'LAYOUT_WIDE', classic: 'LAYOUT_4x3' };
const EDGE = 0.45;
/** Pixels of a drawing to the inch: sharp when thrown two metres wide. */
const SHARPNESS = 72;

/**
 * The lesson as slides of text that is text: a title, one drawing to the left, the line and what to look at to the right, the notes
 * beneath. Runs in a thread of its own.
 */
export default async function slides({ lesson, shape }: SlidesTask): Promise<Buffer> {
  const deck = new Pptx();
  deck.layout = LAYOUTS[shape];
  deck.theme = { headFontFace: SERIF, bodyFontFace: SANS };
  deck.title = lesson.title;
  deck.company = lesson.course;
  const width = WIDTHS[shape];
  const { sheet } = tellsIn(lesson.setting.vocabulary);
  opening(deck.addSlide(), lesson, width);
  for (const stop of lesson.stops.flatMap(asSlides)) {
    const slide = deck.addSlide();
    if (stop.kind === 'recap') await recap(slide, lesson, stop, width);
    else await point(slide, lesson, stop, width);
    foot(slide, lesson, stop, width);
    const notes = [
      stop.note,
      stop.ask && putIn(sheet.askFirst, stop.ask),
      stop.look && putIn(sheet.look, stop.look),
    ].filter(Boolean);
    if (notes.length > 0) slide.addNotes(notes.join('\n'));
  }
  return (await deck.write({ outputType: 'nodebuffer' })) as Buffer;
}

/** A specimen to call is asked on one slide and told on the next; any other point is one. */
const asSlides = (stop: LessonStop): LessonStop[] =>
  stop.kind === 'call' ? [{ ...stop, words: stop.ask ?? '', key: ASKED }, stop] : [stop];
const ASKED = 'asked';

function opening(slide: Slide, { title, course, week, setting }: LessonToDraw, width: number): void {
  const { sheet } = tellsIn(setting.vocabulary);
  const box = { x: EDGE, w: width - 2 * EDGE };
  slide.addText(title, {
    ...box,
    y: 2.4,
    h: 1.6,
    fontFace: SERIF,
    fontSize: fitting(title, box.w, 1.6, 44, 24),
    color: INK,
    bold: true,
    valign: 'bottom',
  });
  slide.addText([course, ...(week === null ? [] : [putIn(sheet.week, String(week))])].join(' · '), {
    ...box,
    y: 4.1,
    h: 0.7,
    fontFace: SANS,
    fontSize: 20,
    color: INK_2,
    valign: 'top',
  });
}

async function point(slide: Slide, lesson: LessonToDraw, stop: LessonStop, width: number): Promise<void> {
  const drawn = { x: EDGE, y: EDGE, w: Math.round(width * 0.62 * 100) / 100 - EDGE, h: HEIGHT - 1.1 };
  const shown = await showAt(slide, lesson, stop, drawn);
  const text = shown
    ? { x: drawn.x + drawn.w + 0.25, w: width - drawn.x - drawn.w - 0.25 - EDGE }
    : { x: EDGE, w: width - 2 * EDGE };
  const heading = headingOf(lesson, stop);
  slide.addText(heading, {
    ...text,
    y: EDGE,
    h: 1.1,
    fontFace: SANS,
    fontSize: fitting(heading, text.w, 1.1, 22, 12),
    color: INK_2,
    bold: true,
    valign: 'top',
    margin: 0,
  });
  slide.addText(stop.words, {
    ...text,
    y: 1.6,
    h: 3.7,
    fontFace: SERIF,
    fontSize: fitting(stop.words, text.w, 3.7, 26, 9),
    color: INK,
    valign: 'top',
    margin: 0,
  });
  if (stop.look)
    slide.addText(stop.look, {
      ...text,
      y: 5.4,
      h: 1.2,
      fontFace: SANS,
      fontSize: fitting(stop.look, text.w, 1.2, 18, 11),
      color: ACTION,
      valign: 'top',
      margin: 0,
    });
}

/** A line under a photo that says whose it is. */
const CREDIT = 0.3;

/** The photos of a point, or its drawing, in a place; false where words alone stand. */
async function showAt(slide: Slide, lesson: LessonToDraw, stop: LessonStop, place: Place): Promise<boolean> {
  const taken = lesson.pictures[stop.key];
  const { sheet } = tellsIn(lesson.setting.vocabulary);
  if (taken) {
    const room = { ...place, h: place.h - CREDIT };
    const by = Math.min(room.w / taken.width, room.h / taken.height);
    const [w, h] = [taken.width * by, taken.height * by];
    const [x, y] = [room.x + (room.w - w) / 2, room.y + (room.h - h) / 2];
    slide.addImage({ x, y, w, h, data: taken.data, altText: putIn(sheet.photographed, stop.title) });
    slide.addText(taken.credit, {
      x: room.x,
      y: y + h,
      w: room.w,
      h: CREDIT,
      fontFace: SANS,
      fontSize: fitting(taken.credit, room.w, CREDIT, 11, 7),
      color: INK_2,
      align: 'center',
      margin: 0,
    });
    return true;
  }
  const shown = shownAt(lesson, stop, { width: place.w * SHARPNESS, height: place.h * SHARPNESS });
  if (!shown) return false;
  const altText = putIn(sheet.drawn, stop.title);
  if ('map' in shown) slide.addImage({ ...place, data: await asPicture(shown.map), altText });
  else await drawOnSlide(slide, shown.drawing, place, altText);
  return true;
}

/** Shares of the height of a cell: the drawing, the name, the words; the rest is gap. */
const [DRAWN, NAMED, SAID] = [0.52, 0.17, 0.28];

/** One row: each tree drawn, its one mark under it. */
async function recap(slide: Slide, lesson: LessonToDraw, stop: LessonStop, width: number): Promise<void> {
  slide.addText(stop.title, {
    x: EDGE,
    y: EDGE,
    w: width - 2 * EDGE,
    h: 0.7,
    fontFace: SERIF,
    fontSize: 26,
    bold: true,
    color: INK,
    margin: 0,
  });
  const each = stop.each ?? [];
  // More than six trees stand in two rows.
  const columns = Math.ceil(each.length / (each.length > 6 ? 2 : 1));
  const rows = Math.ceil(each.length / Math.max(1, columns));
  const cell = { w: (width - 2 * EDGE) / Math.max(1, columns), h: (HEIGHT - 1.9) / Math.max(1, rows) };
  for (const [i, { taxonId, words, shows }] of each.entries()) {
    const [x, y] = [EDGE + (i % columns) * cell.w, 1.3 + Math.floor(i / columns) * cell.h];
    const inner = cell.w - 0.2;
    const height = cell.h * DRAWN;
    const frame = { width: inner * SHARPNESS, height: height * SHARPNESS };
    const drawing = drawingOfOne(lesson, taxonId, shows, frame);
    if (drawing) await drawOnSlide(slide, drawing, { x, y, w: inner, h: height }, words);
    const found = lesson.profiles.find(({ taxon }) => taxon.id === taxonId);
    const name = found ? upperFirst(commonName(found.taxon)) : taxonId;
    slide.addText(name, {
      x,
      y: y + height,
      w: inner,
      h: cell.h * NAMED,
      fontFace: SANS,
      bold: true,
      fontSize: fitting(name, inner, cell.h * NAMED, 16, 8),
      color: INK,
      margin: 0,
    });
    slide.addText(words, {
      x,
      y: y + height + cell.h * NAMED,
      w: inner,
      h: cell.h * SAID,
      fontFace: SERIF,
      fontSize: fitting(words, inner, cell.h * SAID, 16, 8),
      color: INK,
      valign: 'top',
      margin: 0,
    });
  }
}

function foot(slide: Slide, lesson: LessonToDraw, stop: LessonStop, width: number): void {
  const names = lesson.profiles
    .filter(({ taxon }) => stop.taxa.includes(taxon.id))
    .map(({ taxon }) => scientificName(taxon));
  const line = { y: HEIGHT - 0.5, h: 0.35, color: INK_2, margin: 0 };
  const sizeOf = (text: string, w: number) => fitting(text, w, line.h, 11, 7);
  if (stop.kind !== 'recap' && stop.key !== ASKED && names.length > 0)
    slide.addText(names.join(', '), {
      ...line,
      x: EDGE,
      w: width * 0.55,
      fontFace: SERIF,
      fontSize: sizeOf(names.join(', '), width * 0.55),
      italic: true,
    });
  slide.addText(lesson.title, {
    ...line,
    x: width * 0.6,
    w: width * 0.4 - EDGE,
    fontFace: SANS,
    fontSize: sizeOf(lesson.title, width * 0.4 - EDGE),
    align: 'right',
  });
}

/** The largest size, in points, at which a text fits its box of inches. */
export function fitting(text: string, width: number, height: number, most: number, least: number): number {
  for (let size = most; size > least; size -= 1) {
    const perLine = Math.max(1, Math.floor((width * 72) / (size * LETTER)));
    const lines = linesOf(text, perLine);
    if (lines * size * 1.25 <= height * 72) return size;
  }
  return least;
}

/** Lines that a text takes when words are not broken. */
function linesOf(text: string, perLine: number): number {
  let [lines, held] = [1, 0];
  for (const { length } of text.split(/\s+/)) {
    if (held > 0 && held + 1 + length > perLine) [lines, held] = [lines + 1, 0];
    held += length + (held > 0 ? 1 : 0);
  }
  return lines;
}
