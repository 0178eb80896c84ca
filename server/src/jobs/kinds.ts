import { createHash } from 'node:crypto';
import type { Scores } from '@hurrow/contract/confusions';
import type { ImportBody } from '@hurrow/contract/exchange';
import { say } from '../api/say.ts';
import { keepReportOf } from '../confusions/computing.ts';
import { importFile } from '../exchange/import.ts';
import { addHistory } from '../keeping/queries.ts';
import { fitWhereDue } from '../practice/fitting.ts';
import { openQuiz } from '../quizzes/opening.ts';
import { Jobs, type Doing } from './jobs.ts';
import type { Db } from '../db/index.ts';

/** Each kind of work that is kept in the table of jobs, from its input alone. */
const KINDS = {
  /** Opens a quiz, or a closed one again. By its id. */
  open: async (input: { quizId: string; accountId: string; at: string }, { db }: Doing) => {
    const now = new Date(input.at);
    await openQuiz(db, input.quizId, now, (tx, { courseId, title }) =>
      addHistory(tx, now, input.accountId, courseId, say`opened the quiz “${title}”`),
    );
  },
  /** Takes a file into the library. By a hash of what was sent. */
  import: ({ body, accountId, at }: { body: ImportBody; accountId: string; at: string }, { db }: Doing) =>
    importFile(db, body, accountId, new Date(at)),
  /** Computes the report on a course and keeps it; resolves with its key. By the key of what it was asked for. */
  confusions: (input: { courseId: string; scores: Scores; earlier: boolean; at: string }, doing: Doing) =>
    keepReportOf(input, doing),
  /** Fits the schedule of practice to a course, where enough answers came. By the course. */
  fit: ({ courseId }: { courseId: string }, { db }: Doing) => fitWhereDue(db, courseId),
};

export type HurrowJobs = Jobs<typeof KINDS>;

/** The jobs of a Hurrow, which this process does its part of until they are closed. */
export const jobsOn = (db: Db): HurrowJobs => new Jobs(db, KINDS);

/** What an import is by: the same file sent twice is taken in once. */
export const importKey = (body: ImportBody, accountId: string): string =>
  createHash('sha256')
    .update(JSON.stringify([body.csv, body.sourceId ?? '', accountId]))
    .digest('hex');
