import type { Db } from '../db/index.ts';

/** Tells whoever watches, in any process, that answers of quizzes have come. Nobody waits for it: who is not told looks later. */
export function answersCame(db: Db, quizIds: Iterable<string>): void {
  for (const id of new Set(quizIds)) db.tell('answers', id).catch(() => undefined);
}

/** Calls back whenever answers of a quiz have come. Returns what stops it. */
export const onAnswers = (db: Db, quizId: string, listener: () => void): (() => void) =>
  db.hear('answers', (about) => {
    if (about === undefined || about === quizId) listener();
  });
