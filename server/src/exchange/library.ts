import type { Db } from '../db/index.ts';
import { committedLibrary, stateOf } from '../library/committed.ts';
import { recordsAt } from '../library/records.ts';
import type { Range } from '@hurrow/core/range';
import { inThread } from '../thread.ts';
import { groundOf, work, type Answers, type Held, type Task } from './work.ts';
import type { Lacking } from './worker.ts';

/**
 * Asks for work on the library as it stands now: here, or in a thread that keeps the library for the next question.
 *
 * @param beside whether it takes long enough for the way to the thread
 * @returns the answer, and the state of the library (`stateOf`) that it holds for
 */
export async function askLibrary<T extends Task>(
  db: Db,
  task: T,
  beside: boolean,
): Promise<{ key: string; answer: Answers[T['do']] }> {
  const { key } = await stateOf(db);
  if (!beside) return { key, answer: work(task, groundOf(await heldOf(db))) };
  const answer = await inThread<Answers[T['do']] | Lacking>('libraryWorker', { key, task });
  if (answer !== 'lacking') return { key, answer };
  const held = await heldOf(db);
  return { key, answer: await inThread<Answers[T['do']]>('libraryWorker', { key, task, held }) };
}

async function heldOf(db: Db): Promise<Held> {
  const { library } = await committedLibrary(db);
  const ranges = await recordsAt<Range>(db, library.id, 'range', library.revision);
  return { library, ranges: ranges.map(({ key, record }) => [key, record]) };
}
