import type { Progress } from '@hurrow/contract/confusions';
import type { ProblemAnswer } from '@hurrow/contract/problem';
import type { Db } from '../db/index.ts';

/** A problem as it is kept. */
export interface KeptProblem extends ProblemAnswer {
  status: number;
}

export interface TakenJob {
  id: string;
  kind: string;
  key: string;
  input: unknown;
  tries: number;
}

/** Asks for work; resolves with the job that does it, which may be one that was asked for before and is not yet done. */
export async function ask(db: Db, id: string, kind: string, key: string, input: object): Promise<string> {
  await db.query(
    `insert into job (id, kind, key, input) values ($1, $2, $3, $4::jsonb)
     on conflict (kind, key) where state in ('waiting', 'working') do nothing`,
    [id, kind, key, input],
  );
  const [row] = await db.query<{ id: string }>(
    `select id from job where kind = $1 and key = $2 order by state in ('waiting', 'working') desc, asked_at desc limit 1`,
    [kind, key],
  );
  return row!.id;
}

/** Takes up the job that waits longest, or one whose process has given no sign of life for so many seconds. */
export const take = async (db: Db, worker: string, silent: number): Promise<TakenJob | undefined> =>
  (
    await db.query<TakenJob>(
      `update job set state = 'working', worker = $1, tries = tries + 1, beat_at = clock_timestamp()
         where id = (select id from job
                       where state = 'waiting'
                          or (state = 'working' and beat_at < clock_timestamp() - make_interval(secs => $2))
                       order by asked_at limit 1 for update skip locked)
         returning id, kind, key, input, tries`,
      [worker, silent],
    )
  )[0];

/** A sign of life, with how far it is. Resolves with whether the job is still this process's. */
export const beat = async (db: Db, id: string, worker: string, { share, doing, first }: Progress) =>
  (
    await db.query(
      `update job set beat_at = clock_timestamp(), share = $3, doing = $4, first = coalesce($5::jsonb, first)
         where id = $1 and worker = $2 and state = 'working' returning id`,
      [id, worker, share, doing, first ? JSON.stringify(first) : null],
    )
  ).length > 0;

/** Notes what came of a job, where it is still this process's. */
export const end = async (
  db: Db,
  id: string,
  worker: string,
  came: { result: unknown } | { problem: KeptProblem },
): Promise<void> => {
  const failed = 'problem' in came;
  await db.query(
    `update job set state = $3, result = $4::jsonb, problem = $5::jsonb, ended_at = clock_timestamp(), input = '{}'
       where id = $1 and worker = $2 and state = 'working'`,
    [
      id,
      worker,
      failed ? 'failed' : 'done',
      failed ? null : JSON.stringify(came.result ?? null),
      failed ? JSON.stringify(came.problem) : null,
    ],
  );
};

/** Gives jobs back that a process will not finish: any other takes them up at once. Without a process, all that are under way. */
export const giveBack = (db: Db, worker?: string) =>
  db.query(
    `update job set state = 'waiting', worker = null, tries = tries - 1
       where state = 'working' and ($1::uuid is null or worker = $1::uuid)`,
    [worker ?? null],
  );

/** What came of a job. */
export const outcome = async (db: Db, id: string) =>
  (
    await db.query<{ state: string; result: unknown; problem: KeptProblem | null }>(
      'select state, result, problem from job where id = $1',
      [id],
    )
  )[0];

/** How far the job of a key is; undefined where none is under way. */
export const progress = async (db: Db, kind: string, key: string) =>
  (
    await db.query<Progress>(
      `select share, doing, first from job where kind = $1 and key = $2 and state in ('waiting', 'working')`,
      [kind, key],
    )
  )[0];

/** Ends the job of a key that is under way, with a problem. Resolves with its id where there was one. */
export const stop = async (db: Db, kind: string, key: string, problem: KeptProblem) =>
  (
    await db.query<{ id: string }>(
      `update job set state = 'failed', problem = $3::jsonb, ended_at = clock_timestamp()
         where kind = $1 and key = $2 and state in ('waiting', 'working') returning id`,
      [kind, key, JSON.stringify(problem)],
    )
  )[0]?.id;

/** Drops what ended more than an hour ago: whoever asked has had it. */
export const sweep = (db: Db) =>
  db.query(`delete from job where ended_at < clock_timestamp() - interval '1 hour'`);
