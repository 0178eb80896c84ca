import { queryOptions } from '@tanstack/react-query';
import { middleOfWeek } from '@hurrow/core/term';
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

/** Of a set without a week, trees are drawn in full leaf. */
const MIDSUMMER = 196;

/** The day of the year on which a lesson is given, in the middle of its week. */
export const dayOfLesson = (course: { startsOn: string }, week: number | null): number =>
  week === null ? MIDSUMMER : middleOfWeek(course.startsOn, week);
