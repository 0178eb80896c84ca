import { queryOptions } from '@tanstack/react-query';
import { call } from '../app/api.ts';

/** The real twigs of a course. */
export const bagQuery = (courseId: string) =>
  queryOptions({
    queryKey: ['bag', courseId],
    queryFn: () => call('GET /api/courses/{courseId}/bag', { params: { courseId } }),
  });
