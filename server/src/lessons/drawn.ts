import { drawingOfContrast, drawingOfTree, lowerFirst, type LessonStop } from '@hurrow/core/lesson';
import { drawingToSvg } from '@hurrow/core/specimen';
import { commonName } from '@hurrow/core/taxon';
import type { ShownOrgan } from '@hurrow/core/vocabulary';
import type { LessonToDraw } from './toDraw.ts';

/** Pixels of a frame. */
export interface Frame {
  width: number;
  height: number;
}

/**
 * The drawing of a point as SVG, its first character pointed at; undefined where words alone stand.
 *
 * @param plain line drawings without color
 */
export function drawnStop(
  lesson: LessonToDraw,
  stop: LessonStop,
  frame: Frame,
  plain = false,
): string | undefined {
  if (stop.shows.length === 0 || stop.kind === 'recap') return undefined;
  const setting = { ...lesson.setting, ...frame, plain };
  const of = stop.taxa.flatMap((id) => lesson.profiles.find(({ taxon }) => taxon.id === id) ?? []);
  const [first] = of;
  if (!first) return undefined;
  const nameOf = (id: string) => lesson.setting.vocabulary.get(id)?.term ?? id;
  const [characterId] = stop.characters;
  const drawing =
    stop.kind === 'contrast'
      ? drawingOfContrast(stop, of, setting, (_index, id) => nameOf(id))
      : drawingOfTree(
          first,
          stop.shows,
          setting,
          characterId ? { characterId, text: lowerFirst(nameOf(characterId)) } : undefined,
        );
  return drawing && drawingToSvg(drawing, stop.title);
}

/** One tree of a recap as SVG. */
export function drawnOne(
  lesson: LessonToDraw,
  taxonId: string,
  shows: ShownOrgan[],
  frame: Frame,
  plain = false,
) {
  const profiled = lesson.profiles.find(({ taxon }) => taxon.id === taxonId);
  const drawing = profiled && drawingOfTree(profiled, shows, { ...lesson.setting, ...frame, plain });
  return drawing && drawingToSvg(drawing, commonName(profiled.taxon));
}
