import { EventEmitter } from 'node:events';

const changes = new EventEmitter().setMaxListeners(0);

/** Says that answers of a quiz have come. */
export const answersCame = (quizIds: Iterable<string>): void => {
  for (const id of new Set(quizIds)) changes.emit(id);
};

/** Calls back whenever answers of a quiz have come. Returns what stops it. */
export function onAnswers(quizId: string, listener: () => void): () => void {
  changes.on(quizId, listener);
  return () => changes.off(quizId, listener);
}
