import type { Request, Response } from 'express';
import { stream } from '../api/stream.ts';
import type { Db } from '../db/index.ts';
import { onAnswers } from './changes.ts';
import { marksOf } from './marking.ts';
import { quizOf } from './quiz.ts';
import * as queries from './queries.ts';

/** Milliseconds between two messages at least. */
const PACE = 1000;

/** Numbers by the id of a student or station. */
export type Counts = Record<string, number>;

/** What a page that watches is told: how many stations each student has answered; how many answered each station, and named its tree or answered its question rightly. */
export interface LiveNews {
  students: Counts;
  answered: Counts;
  right: Counts;
}

/**
 * What has changed from one count to the next.
 *
 * @example
 * difference({ rowan: 3, selma: 1 }, { rowan: 4, selma: 1 }); // { rowan: 4 }
 */
export const difference = (before: Counts, now: Counts): Counts =>
  Object.fromEntries(Object.entries(now).filter(([id, n]) => before[id] !== n));

const KINDS = ['students', 'answered', 'right'] as const;

/** How a quiz stands now. */
async function standingOf(db: Db, quizId: string): Promise<LiveNews> {
  const news: LiveNews = { students: {}, answered: {}, right: {} };
  for (const { studentId, n } of await queries.answeredStations(db, quizId)) news.students[studentId] = n;
  const { stations, answers } = await marksOf(db, await quizOf(db, quizId));
  const frozenOf = new Map(stations.map(({ id, frozen }) => [id, frozen]));
  for (const { stationId, text, mark } of answers) {
    if (!text) continue;
    news.answered[stationId] = (news.answered[stationId] ?? 0) + 1;
    const { question, truth } = frozenOf.get(stationId) ?? {};
    if (question ? mark.points === mark.outOf : mark.resolution.taxonId === truth)
      news.right[stationId] = (news.right[stationId] ?? 0) + 1;
  }
  return news;
}

/**
 * Tells a page how a quiz stands: all at first, then what changes, as it comes. Resolves when nobody listens.
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
    let told: LiveNews | undefined;
    let waiting: NodeJS.Timeout | undefined;
    const tell = async () => {
      const now = await standingOf(db, quizId);
      const before = told ?? { students: {}, answered: {}, right: {} };
      const news = Object.fromEntries(
        KINDS.map((kind) => [kind, difference(before[kind], now[kind])]),
      ) as unknown as LiveNews;
      if (!told || KINDS.some((kind) => Object.keys(news[kind]).length > 0)) send(news);
      told = now;
    };
    // Changes that come while one is told share the next message.
    const stop = onAnswers(db, quizId, () => {
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
