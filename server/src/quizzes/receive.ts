import { createHash } from 'node:crypto';
import { conflict } from '../api/problem.ts';
import type { Db } from '../db/index.ts';
import type { Speaker } from '@hurrow/core/quiz';
import * as queries from './queries.ts';
import type { ResponseBody } from './schema.ts';

/**
 * Stores one response for good. The same response sent twice is acknowledged twice and stored once; the same id with another
 * body is refused (409), so that no answer is changed without trace. Who speaks is known from the session, never from the body.
 */
export async function receive(
  db: Db,
  studentId: string,
  body: ResponseBody,
  speaker: { by: 'student' } | { by: Exclude<Speaker, 'student'>; accountId: string },
): Promise<void> {
  const said = JSON.stringify([
    body.stationId,
    studentId,
    Object.entries(body.answer).sort(),
    body.device,
    body.sequence,
  ]);
  const hash = createHash('sha256').update(said).digest('hex');
  const stored = await queries.addResponse(db, {
    ...body,
    studentId,
    hash,
    by: speaker.by,
    enteredBy: speaker.by === 'student' ? null : speaker.accountId,
  });
  if (stored) return;
  if ((await queries.responseHash(db, body.id)) !== hash)
    throw conflict(
      'An answer with this id was received before and says something else. The first one is kept; answer again to change it.',
    );
}
