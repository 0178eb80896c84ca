import { queryOptions } from '@tanstack/react-query';
import { call } from '../app/api.ts';
import { STALE, useSaving } from '../app/useSaving.ts';

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

/** Changes marks, and loads again what follows from them. */
export function useMarking() {
  const { save, problem } = useSaving();
  const mark = (work: () => Promise<unknown>) => save(work, { stale: [STALE.marks, STALE.confusions] });
  return { mark, problem };
}
