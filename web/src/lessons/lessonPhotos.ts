import { t } from '@lingui/core/macro';
import type { Photo } from '@hurrow/contract/photos';
import { queryOptions } from '@tanstack/react-query';
import { MOST_PHOTOS, type LessonEdits, type LessonStop } from '@hurrow/core/lesson';
import { mayLeave } from '@hurrow/core/measurement';

/** The bytes of a photo of a lesson as an address of this page. Once read they are there without the server. */
export const lessonPhotoQuery = (courseId: string, setId: string, photoId: string) =>
  queryOptions({
    queryKey: ['lesson photo', courseId, setId, photoId],
    queryFn: async () => {
      const answer = await fetch(`/api/courses/${courseId}/lessons/${setId}/photos/${photoId}`);
      if (!answer.ok) throw new Error(`The photo was answered with ${answer.status}`);
      return URL.createObjectURL(await answer.blob());
    },
    networkMode: 'offlineFirst',
    staleTime: Infinity,
    gcTime: Infinity,
  });

/** The photos that stand in the place of a point's drawing, in its order; one that was taken out of the library is left out. */
export const photosOf = (stop: Pick<LessonStop, 'photos'>, photos: readonly Photo[]): Photo[] =>
  (stop.photos ?? []).flatMap((id) => photos.find((photo) => photo.id === id) ?? []);

/** A photo put in the place of a point's drawing, after the one that stands there, or taken away. With as many as fit, the last gives way. */
export function pictured(edits: LessonEdits, key: string, photoId: string): LessonEdits {
  const { [key]: held = [], ...others } = edits.pictures;
  const next = held.includes(photoId)
    ? held.filter((id) => id !== photoId)
    : [...held.slice(0, MOST_PHOTOS - 1), photoId];
  return { ...edits, pictures: next.length > 0 ? { ...others, [key]: next } : others };
}

/** What is said of the photos of a point: that some stay in the class room for want of credit or licence; nothing where all may leave. */
export function stayingSaid(photos: readonly Photo[]): string | undefined {
  const staying = photos.filter(({ record }) => !mayLeave(record)).length;
  if (staying === 0) return undefined;
  return staying === photos.length
    ? t`Without credit and licence it is shown, but stays off slides, handouts and students’ pages.`
    : t`One is without credit and licence: it is shown, but stays off slides, handouts and students’ pages.`;
}
