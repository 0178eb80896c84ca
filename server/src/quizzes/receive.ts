import { createHash } from 'node:crypto';
import { conflict, type Problem } from '../api/problem.ts';
import { say } from '../api/say.ts';
import type { Db } from '../db/index.ts';
import type { Speaker } from '@hurrow/core/quiz';
import * as queries from './queries.ts';
import type { ResponseBody } from '@hurrow/contract/quizzes';

/** Rows that one statement adds. */
const AT_ONCE = 500;

/** Who speaks is known from the session, never from the body. */
export type SpeakerOf = { by: 'student' } | { by: Exclude<Speaker, 'student'>; accountId: string };

/**
 * Stores responses of a student for good. The same response sent twice is acknowledged twice and stored once; an id that comes with another
 * body is refused (409), so that no answer is changed without trace.
 *
 * @returns for each response, in their order, the row as it is to be kept (`db.keep`) before anyone is told that it was received, or what
 *   is wrong with it
 */
export async function receive(
  db: Db,
  studentId: string,
  bodies: readonly ResponseBody[],
  speaker: SpeakerOf,
): Promise<(queries.NewResponse | Problem)[]> {
  if (bodies.length === 0) return [];
  const rows = bodies.map((body): queries.NewResponse => ({
    id: body.id,
    stationId: body.stationId,
    studentId,
    answer: body.answer,
    device: body.device,
    sequence: body.sequence,
    writtenAt: body.writtenAt,
    hash: hashOf(studentId, body),
    by: speaker.by,
    enteredBy: speaker.by === 'student' ? null : speaker.accountId,
  }));
  const added = await queries.addResponses(db, rows);
  const arrived = new Map(added.map(({ id, receivedAt }) => [id, receivedAt]));
  const held =
    added.length === rows.length
      ? []
      : await queries.receivedBefore(
          db,
          rows.map(({ id }) => id),
        );
  const before = new Map(held.map((row) => [row.id, row]));
  return rows.map((row) => {
    const first = before.get(row.id);
    if (first && first.bodyHash !== row.hash)
      return conflict(
        say`An answer with this id was received before and says something else. The first one is kept; answer again to change it.`,
      );
    return { ...row, receivedAt: (first?.receivedAt ?? arrived.get(row.id)!).toISOString() };
  });
}

function hashOf(studentId: string, body: ResponseBody): string {
  const answer = Object.entries(body.answer).sort();
  const said = JSON.stringify([body.stationId, studentId, answer, body.device, body.sequence]);
  return createHash('sha256').update(said).digest('hex');
}

/**
 * Puts answers back that were acknowledged and that the store lacks, as after a power cut: a killed machine keeps what was kept, and may
 * lose the store's last moments. Doing it twice does no harm.
 *
 * @returns how many came back, and how many belong to stations or students that the store does not know
 * @example
 * await bringBack(db); // { back: 3, strangers: 0 }
 */
export async function bringBack(db: Db): Promise<{ back: number; strangers: number }> {
  const kept = await db.kept<queries.NewResponse>();
  if (kept.length === 0) return { back: 0, strangers: 0 };
  const there = await queries.idsOf(db, 'response');
  const missing = kept.filter(({ id }) => !there.has(id));
  const stations = await queries.idsOf(db, 'station');
  const students = await queries.idsOf(db, 'student');
  const known = missing.filter((row) => stations.has(row.stationId) && students.has(row.studentId));
  let back = 0;
  await db.transaction(async (tx) => {
    for (let from = 0; from < known.length; from += AT_ONCE)
      back += (await queries.addResponses(tx, known.slice(from, from + AT_ONCE))).length;
  });
  return { back, strangers: missing.length - known.length };
}
