import { edited, NO_EDITS, type LessonEdits, type LessonStop } from '@hurrow/core/lesson';
import { moved } from '../app/moved.ts';

/** Changes as they are kept now, from what a browser kept before there were photos in lessons. */
export const wholeEdits = (kept: Partial<LessonEdits>): LessonEdits => ({ ...NO_EDITS, ...kept });

/** A point hidden from the lesson, or shown again. */
export const hid = (edits: LessonEdits, key: string): LessonEdits => ({
  ...edits,
  hidden: edits.hidden.includes(key) ? edits.hidden.filter((held) => held !== key) : [...edits.hidden, key],
});

/** A point in the instructor's own words; with the generated ones, or none at all, it follows the scores again. */
export function reworded(edits: LessonEdits, stop: LessonStop, words: string): LessonEdits {
  const from = stop.generated ?? stop.words;
  const { [stop.key]: _held, ...others } = edits.reworded;
  const own = edits.own.some(({ key }) => key === stop.key);
  if (own)
    return {
      ...edits,
      own: edits.own.map((slide) => (slide.key === stop.key ? { ...slide, words } : slide)),
    };
  const text = words.trim();
  return {
    ...edits,
    reworded: text === '' || text === from ? others : { ...others, [stop.key]: { words, from } },
  };
}

/** What a point's scores say now is taken for what its own words were made from: the remark that they have changed goes. */
export const acknowledged = (edits: LessonEdits, stop: LessonStop): LessonEdits =>
  stop.generated === undefined
    ? edits
    : { ...edits, reworded: { ...edits.reworded, [stop.key]: { words: stop.words, from: stop.generated } } };

export function noted(edits: LessonEdits, key: string, note: string): LessonEdits {
  const { [key]: _held, ...others } = edits.notes;
  return { ...edits, notes: note.trim() === '' ? others : { ...others, [key]: note } };
}

/** A point moved up or down among all, from which the whole order is kept. */
export function inOtherOrder(
  edits: LessonEdits,
  stops: readonly LessonStop[],
  key: string,
  by: 1 | -1,
): LessonEdits {
  const order = stops.map((stop) => stop.key);
  return { ...edits, order: moved(order, order.indexOf(key), by) };
}

/** A slide of one's own after a point. */
export function withSlide(
  edits: LessonEdits,
  stops: readonly LessonStop[],
  after: string,
  slide: LessonEdits['own'][number],
): LessonEdits {
  const order = stops.map((stop) => stop.key);
  order.splice(order.indexOf(after) + 1, 0, slide.key);
  return { ...edits, own: [...edits.own, slide], order };
}

export const withoutSlide = (edits: LessonEdits, key: string): LessonEdits => ({
  ...edits,
  own: edits.own.filter((slide) => slide.key !== key),
  order: edits.order.filter((held) => held !== key),
});

/**
 * The stops as they stand with edits that are not saved yet: the generated points under the new changes.
 *
 * @param stops as the server has generated and changed them
 */
export function underEdits(stops: readonly LessonStop[], edits: LessonEdits): LessonStop[] {
  const generated = stops
    .filter(({ kind }) => kind !== 'own')
    .map(({ hidden: _h, generated: words, outdated: _o, note: _n, photos: _p, ...stop }) => ({
      ...stop,
      words: words ?? stop.words,
    }));
  const made = edited(generated, edits);
  return made;
}
