import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import type { PracticeGround } from '@hurrow/core/practice';
import { courseQuery, useLibrary } from '../app/data.ts';

/** The trees of a course as lessons and questions are made from them; undefined until they are there. */
export function useGroundOf(courseId: string, more: readonly string[] = []): PracticeGround | undefined {
  const course = useQuery(courseQuery(courseId)).data;
  const { library, every, vocabulary } = useLibrary();
  const also = more.join();
  return useMemo(() => {
    if (!course || !library) return undefined;
    const ids = new Set([...course.sets.flatMap((set) => set.taxa), ...also.split(',')]);
    const { latitude, longitude, elevation, audience, units } = course;
    return {
      list: every.filter(({ taxon }) => ids.has(taxon.id)),
      vocabulary,
      audience,
      units,
      reference: library.reference,
      site: { latitude, longitude, elevation },
    };
  }, [course, library, every, vocabulary, also]);
}
