import { queryOptions } from '@tanstack/react-query';
import { call } from '../app/api.ts';

export const roundsQuery = (quizId: string) =>
  queryOptions({
    queryKey: ['rounds', quizId],
    queryFn: () => call('GET /api/quizzes/{quizId}/rounds', { params: { quizId } }),
  });
