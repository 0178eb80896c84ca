import { queryOptions, useQueryClient } from '@tanstack/react-query';
import { call } from '../app/api.ts';

export const quizQuery = (id: string) =>
  queryOptions({
    queryKey: ['quiz', id],
    queryFn: () => call('GET /api/quizzes/{quizId}', { params: { quizId: id } }),
  });

export const marksQuery = (id: string) =>
  queryOptions({
    queryKey: ['marks', id],
    queryFn: () => call('GET /api/quizzes/{quizId}/marks', { params: { quizId: id } }),
  });

/** Loads again what follows from marks. */
export function useRefreshMarks() {
  const queries = useQueryClient();
  return () =>
    queries.invalidateQueries({
      predicate: ({ queryKey }) => ['marks', 'confusions'].includes(String(queryKey[0])),
    });
}
