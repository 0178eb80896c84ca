import { queryOptions } from '@tanstack/react-query';
import { get } from '../app/api.ts';

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
    queryFn: () => get<HistoryLine[]>(`/api/history?courseId=${courseId}`),
    staleTime: 0,
  });
