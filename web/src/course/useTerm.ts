import type { WholeCourse } from '@hurrow/contract/courses';
import { queryOptions, useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { OFTEN_MIXED_UP, type Prospects } from '@hurrow/core/term';
import { call } from '../app/api.ts';
import { useLibrary } from '../app/data.ts';
import { useConfusions } from '../confusions/useConfusions.ts';

const prospectsQuery = (
  course: WholeCourse,
  revision: number | undefined,
  taxa: readonly string[],
  mixedUp: readonly { a: string; b: string }[],
) =>
  queryOptions({
    queryKey: [
      'prospects',
      course.id,
      revision,
      course.startsOn,
      course.latitude,
      course.elevation,
      taxa,
      mixedUp,
    ],
    queryFn: (): Promise<Prospects> =>
      call('POST /api/courses/{courseId}/term/prospects', {
        params: { courseId: course.id },
        body: { taxa: [...taxa], mixedUp: [...mixedUp] },
      }),
    enabled: taxa.length > 0 && revision !== undefined,
    staleTime: Infinity,
    placeholderData: (held) => held,
  });

/** What the species of a draft offer the term week by week, and what the class has mixed up. */
export function useTerm(course: WholeCourse, taxa: readonly string[]) {
  const { library } = useLibrary();
  const { pairs } = useConfusions(course.id);
  const mixedUp = useMemo(
    () => pairs.filter(({ count }) => count >= OFTEN_MIXED_UP).map(({ a, b }) => ({ a, b })),
    [pairs],
  );
  const sorted = useMemo(() => [...taxa].sort(), [taxa]);
  const query = useQuery(prospectsQuery(course, library?.revision, sorted, mixedUp));
  return { prospects: query.data, problem: query.error, working: query.isFetching, mixedUp };
}
