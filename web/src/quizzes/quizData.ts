import type { RulingBody } from '@hurrow/contract/rulings';
import { queryOptions } from '@tanstack/react-query';
import { useState } from 'react';
import { call, isProblem, messageOf } from '../app/api.ts';
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

export const secondKey = (id: string) => ['secondMarks', id] as const;
export const secondQuery = (id: string) =>
  queryOptions({
    queryKey: secondKey(id),
    queryFn: () => call('GET /api/quizzes/{quizId}/second', { params: { quizId: id } }),
  });

export const runningQuery = (id: string) =>
  queryOptions({
    queryKey: ['running', id],
    queryFn: () => call('GET /api/quizzes/{quizId}/running', { params: { quizId: id } }),
    // Phones tell of themselves as they send.
    refetchInterval: 60_000,
  });

/** A ruling, and the question that comes back where another tree bears the name already. */
export function useRuling(quizId: string) {
  const { save, problem } = useSaving();
  const [asked, setAsked] = useState<{ body: RulingBody; question: string }>();
  const rule = (body: RulingBody) => {
    setAsked(undefined);
    return save(() => call('POST /api/quizzes/{quizId}/rulings', { params: { quizId }, body }), {
      stale: [STALE.marks, STALE.confusions],
      refused: (error) => {
        const isShared = isProblem(error, 'sharedName');
        if (isShared) setAsked({ body, question: messageOf(error) });
        return isShared;
      },
    });
  };
  return { rule, problem, asked, leave: () => setAsked(undefined) };
}

export type Asking = ReturnType<typeof useRuling>;

/** Changes marks, and loads again what follows from them. */
export function useMarking() {
  const { save, problem } = useSaving();
  const mark = (work: () => Promise<unknown>) => save(work, { stale: [STALE.marks, STALE.confusions] });
  return { mark, problem };
}
