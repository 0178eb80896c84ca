import { queryOptions } from '@tanstack/react-query';
import { call } from '../app/api.ts';
import { speakAlso } from '../language/speak.ts';

export const historyQuery = (courseId: string) =>
  queryOptions({
    queryKey: ['history', courseId],
    // What the server noted is said by its own words.
    queryFn: () => speakAlso('server').then(() => call('GET /api/history', { query: { courseId } })),
    staleTime: 0,
  });
