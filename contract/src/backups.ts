import Joi from 'joi';
import { endpoint, type Sent } from './endpoint.ts';

/** How much a store holds. */
export interface Holds {
  species: number;
  courses: number;
  students: number;
  answers: number;
  photographs: number;
}

export interface Backup {
  name: string;
  bytes: number;
  /** ISO 8601. */
  made: string;
  library: string;
  holds: Holds;
  courses: { name: string; students: number; quizzes: number; answers: number }[];
  /** When the newest answer in it was received; null where there is none. */
  newestAnswer: string | null;
}

export interface Backups {
  /** The folder in which they lie; null where the data are on a PostgreSQL server, which is backed up by its own tools. */
  shelf: string | null;
  /** Days for which one is kept. */
  days: number;
  /** Newest first. */
  backups: Backup[];
}

export const list = endpoint<{ answer: Backups }>()({
  method: 'get',
  path: '/api/backups',
  summary: 'All backups with what each holds, newest first, and where they lie.',
  allow: ['owner'],
});

export const make = endpoint<{ answer: { name: string } }>()({
  method: 'post',
  path: '/api/backups',
  summary: 'Makes a backup now, opens it and counts its rows. Others go on working meanwhile.',
  allow: ['owner'],
});

export const file = endpoint<{ answer: Sent }>()({
  method: 'get',
  path: '/api/backups/{name}/file',
  summary: 'The file of a backup, for another disk or another machine.',
  allow: ['owner'],
});

export const restore = endpoint<{ body: { sure: string }; answer: { holds: string; back: number } }>()({
  method: 'post',
  path: '/api/backups/{name}/restore',
  summary:
    'Puts a backup in the place of what is there now, which is kept beside it; answers that came later are brought back. Everyone signs in again.',
  allow: ['owner'],
  body: Joi.object({ sure: Joi.string().max(120).required() }),
});
