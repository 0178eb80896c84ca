import type { Request, Response } from 'express';
import type { Db } from '../db/index.ts';
import { onAnswers } from './changes.ts';
import * as queries from './queries.ts';

/** Milliseconds between two messages at least, and between two signs of life. */
const PACE = 1000;
const SIGN_OF_LIFE = 25_000;
/** A page that watches for longer is asked again who it is. */
const LONGEST = 30 * 60_000;

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
  response.writeHead(200, {
    'Content-Type': 'text/event-stream',
    // Neither kept nor packed on the way: each message is to arrive as it is written.
    'Cache-Control': 'no-store, no-transform',
    'X-Accel-Buffering': 'no',
  });
  let told: Counts | undefined;
  let waiting: NodeJS.Timeout | undefined;
  const tell = async () => {
    const now = Object.fromEntries(
      (await queries.answeredStations(db, quizId)).map(({ studentId, n }) => [studentId, n]),
    );
    const news = told ? difference(told, now) : now;
    if (!told || Object.keys(news).length > 0) response.write(`data: ${JSON.stringify(news)}\n\n`);
    told = now;
  };
  // Changes that come while one is told share the next message.
  const stop = onAnswers(quizId, () => {
    waiting ??= setTimeout(() => {
      waiting = undefined;
      tell().catch(() => response.end());
    }, PACE);
  });
  const alive = setInterval(() => {
    stillIn().then(
      (still) => (still ? response.write(':\n\n') : response.end()),
      () => response.end(),
    );
  }, SIGN_OF_LIFE);
  const longest = setTimeout(() => response.end(), LONGEST);
  const gone = new Promise<void>((resolve) => {
    request.on('close', resolve);
    response.on('close', resolve);
  });
  try {
    await tell();
    await gone;
  } finally {
    stop();
    clearInterval(alive);
    clearTimeout(waiting);
    clearTimeout(longest);
    response.end();
  }
}
