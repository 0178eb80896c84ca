import { queryOptions } from '@tanstack/react-query';
import { call } from '../app/api.ts';

/** A change, and who made it; nobody where Hurrow did by itself. */
export interface HistoryLine {
  at: string;
  by: string | null;
  course: string | null;
  what: string;
}

export const historyQuery = (courseId: string) =>
  queryOptions({
    queryKey: ['history', courseId],
    queryFn: () => call('GET /api/history', { query: { courseId } }),
    staleTime: 0,
  });
