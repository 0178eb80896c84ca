import { rangeSvg, type MapLook } from '@hurrow/core/map';
import { atlas } from './atlas.ts';
import {
  drawingOfStop,
  drawingOfTree,
  goingOn,
  sayingIn,
  tellsIn,
  type LessonStop,
} from '@hurrow/core/lesson';
import { drawingToSvg, type Drawing } from '@hurrow/core/specimen';
import { commonName } from '@hurrow/core/taxon';
import { putIn, type ShownOrgan } from '@hurrow/core/vocabulary';
import { upperFirst } from '@hurrow/core/words';
import type { LessonToDraw } from './toDraw.ts';

/** A map thrown on a wall, in the colors that the page about a range has, and one that is printed in black. */
const ON_SLIDE: MapLook = {
  sea: '#ffffff',
  land: '#eef1ea',
  line: '#a9b8b5',
  ink: '#17262b',
  here: '#a3361f',
  status: {
    native: '#3f8f86',
    introduced: '#c79a2e',
    planted: '#e8cf8a',
    rare: '#1f4e63',
    extirpated: '#b9b4ad',
  },
};
const ON_PAPER: MapLook = {
  sea: '#ffffff',
  land: '#f2f2f2',
  line: '#9a9a9a',
  ink: '#000000',
  here: '#000000',
  status: {
    native: '#555555',
    introduced: '#999999',
    planted: '#bbbbbb',
    rare: '#888888',
    extirpated: '#dddddd',
  },
};

/** Pixels of a frame. */
export interface Frame {
  width: number;
  height: number;
}

/** What stands at a point: the map of its range as SVG, or a drawing; undefined where words alone stand. */
export function shownAt(
  lesson: LessonToDraw,
  stop: LessonStop,
  frame: Frame,
  plain = false,
): { map: string } | { drawing: Drawing } | undefined {
  const range = stop.topic === 'place' ? lesson.ranges[stop.taxa[0] ?? ''] : undefined;
  if (range && Object.keys(range.cells).length > 0)
    return {
      map: rangeSvg(range, lesson.setting.site, atlas(), plain ? ON_PAPER : ON_SLIDE, {
        title: stop.title,
        here: tellsIn(lesson.setting.vocabulary).sheet.here,
      }),
    };
  if (stop.kind === 'recap') return undefined;
  const setting = { ...lesson.setting, ...frame, plain };
  const of = stop.taxa.flatMap((id) => lesson.profiles.find(({ taxon }) => taxon.id === id) ?? []);
  const drawing = drawingOfStop(stop, of, setting, lesson.audience);
  return drawing && { drawing };
}

/**
 * What stands at a point as SVG, its first character pointed at; undefined where words alone stand.
 *
 * @param plain line drawings without color
 */
export function drawnStop(
  lesson: LessonToDraw,
  stop: LessonStop,
  frame: Frame,
  plain = false,
): string | undefined {
  const shown = shownAt(lesson, stop, frame, plain);
  if (!shown) return undefined;
  return 'map' in shown ? shown.map : drawingToSvg(shown.drawing, stop.title);
}

/** One tree of a recap. */
export function drawingOfOne(
  lesson: LessonToDraw,
  taxonId: string,
  shows: ShownOrgan[],
  frame: Frame,
  plain = false,
): Drawing | undefined {
  const profiled = lesson.profiles.find(({ taxon }) => taxon.id === taxonId);
  return profiled && drawingOfTree(profiled, shows, { ...lesson.setting, ...frame, plain });
}

/** One tree of a recap as SVG. */
export function drawnOne(...asked: Parameters<typeof drawingOfOne>): string | undefined {
  const drawing = drawingOfOne(...asked);
  return drawing && drawingToSvg(drawing, asked[1]);
}

/** What stands over a point: whose it is, and what it is about. */
export function headingOf({ profiles, setting }: LessonToDraw, { kind, taxa, title }: LessonStop): string {
  const of = kind === 'tree' && profiles.find(({ taxon }) => taxon.id === taxa[0]);
  if (!of) return title;
  return putIn(tellsIn(setting.vocabulary).sheet.heading, {
    tree: upperFirst(commonName(of.taxon)),
    topic: goingOn(title, sayingIn(setting.vocabulary)),
  });
}
