import type { Request, Response } from 'express';
import { stream } from '../api/stream.ts';
import type { Db } from '../db/index.ts';
import { onAnswers } from './changes.ts';
import * as queries from './queries.ts';

/** Milliseconds between two messages at least. */
const PACE = 1000;

/** Answered stations by student. */
export type Counts = Record<string, number>;

/**
 * What has changed from one count to the next.
 *
 * @example
 * difference({ rowan: 3, selma: 1 }, { rowan: 4, selma: 1 }); // { rowan: 4 }
 */
export const difference = (before: Counts, now: Counts): Counts =>
  Object.fromEntries(Object.entries(now).filter(([id, n]) => before[id] !== n));

/**
 * Tells a page how many stations each student has answered: all at first, then what changes, as it comes. Resolves when nobody listens.
 *
 * @param stillIn whether who asked is still signed in; asked with each sign of life
 */
export async function tellLive(
  db: Db,
  quizId: string,
  request: Request,
  response: Response,
  stillIn: () => Promise<boolean>,
): Promise<void> {
  await stream(request, response, stillIn, async (send) => {
    let told: Counts | undefined;
    let waiting: NodeJS.Timeout | undefined;
    const tell = async () => {
      const now = Object.fromEntries(
        (await queries.answeredStations(db, quizId)).map(({ studentId, n }) => [studentId, n]),
      );
      const news = told ? difference(told, now) : now;
      if (!told || Object.keys(news).length > 0) send(news);
      told = now;
    };
    // Changes that come while one is told share the next message.
    const stop = onAnswers(quizId, () => {
      waiting ??= setTimeout(() => {
        waiting = undefined;
        tell().catch(() => response.end());
      }, PACE);
    });
    await tell();
    return () => {
      stop();
      clearTimeout(waiting);
    };
  });
}
