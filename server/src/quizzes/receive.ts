import { createHash } from 'node:crypto';
import { conflict } from '../api/problem.ts';
import type { Db } from '../db/index.ts';
import type { Speaker } from '@hurrow/core/quiz';
import * as queries from './queries.ts';
import type { ResponseBody } from './schema.ts';

/**
 * Stores one response for good. The same response sent twice is acknowledged twice and stored once; the same id with another
 * body is refused (409), so that no answer is changed without trace. Who speaks is known from the session, never from the body.
 *
 * @returns the row as it is to be kept (`db.keep`) before anyone is told that it was received
 */
export async function receive(
  db: Db,
  studentId: string,
  body: ResponseBody,
  speaker: { by: 'student' } | { by: Exclude<Speaker, 'student'>; accountId: string },
): Promise<queries.NewResponse> {
  const said = JSON.stringify([
    body.stationId,
    studentId,
    Object.entries(body.answer).sort(),
    body.device,
    body.sequence,
  ]);
  const hash = createHash('sha256').update(said).digest('hex');
  const row = {
    id: body.id,
    stationId: body.stationId,
    studentId,
    answer: body.answer,
    device: body.device,
    sequence: body.sequence,
    writtenAt: body.writtenAt,
    hash,
    by: speaker.by,
    enteredBy: speaker.by === 'student' ? null : speaker.accountId,
  };
  const now = await queries.addResponse(db, row);
  if (now) return { ...row, receivedAt: now.toISOString() };
  const before = (await queries.receivedBefore(db, body.id))!;
  if (before.body_hash !== hash)
    throw conflict(
      'An answer with this id was received before and says something else. The first one is kept; answer again to change it.',
    );
  return { ...row, receivedAt: before.received_at.toISOString() };
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
    for (const row of known) if (await queries.addResponse(tx, row)) back += 1;
  });
  return { back, strangers: missing.length - known.length };
}
