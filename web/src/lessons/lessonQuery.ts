import { queryOptions } from '@tanstack/react-query';
import { call } from '../app/api.ts';

/** The lesson of a set. Read once, it is shown without the server. */
export const lessonQuery = (courseId: string, setId: string) =>
  queryOptions({
    queryKey: ['lesson', courseId, setId],
    queryFn: () => call('GET /api/courses/{courseId}/lessons/{setId}', { params: { courseId, setId } }),
    networkMode: 'offlineFirst',
    staleTime: 60_000,
  });

/** All ranges of the library. */
export const rangesQuery = queryOptions({
  queryKey: ['range', 'all'],
  queryFn: () => call('GET /api/library/ranges'),
});
