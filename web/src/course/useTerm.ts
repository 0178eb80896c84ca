import type { WholeCourse } from '@hurrow/contract/courses';
import { queryOptions, useQuery } from '@tanstack/react-query';
import { useDeferredValue, useMemo } from 'react';
import type { Prospects } from '@hurrow/core/term';
import { call } from '../app/api.ts';
import { useLibrary } from '../app/data.ts';

/** What the class mixes up changes with its answers, a quiz at a time. */
const HOLDS = 60_000;

const prospectsQuery = (course: WholeCourse, revision: number | undefined, taxa: readonly string[]) =>
  queryOptions({
    queryKey: ['prospects', course.id, revision, course.startsOn, course.latitude, course.elevation, taxa],
    queryFn: (): Promise<Prospects> =>
      call('POST /api/courses/{courseId}/term/prospects', {
        params: { courseId: course.id },
        body: { taxa: [...taxa] },
      }),
    enabled: taxa.length > 0 && revision !== undefined,
    staleTime: HOLDS,
    placeholderData: (held) => held,
  });

/** What the species of a draft offer the term week by week. */
export function useTerm(course: WholeCourse, taxa: readonly string[]) {
  const { library } = useLibrary();
  const sorted = useMemo(() => [...taxa].sort(), [taxa]);
  const query = useQuery(prospectsQuery(course, library?.revision, sorted));
  // The board stands before they are there; they are laid over it a piece at a time.
  const prospects = useDeferredValue(query.data);
  return { prospects, problem: query.error, working: query.isFetching };
}
