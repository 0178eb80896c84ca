import { createHash } from 'node:crypto';
import { promisify } from 'node:util';
import { gzip } from 'node:zlib';
import type { Request, Response } from 'express';

const pack = promisify(gzip);

/** Signs of texts in memory, at most: those of the quizzes that are sat now, and the library of the last revisions. */
const MOST = 60_000_000;
const known = new Map<string, { tag: string; packed: Promise<Buffer> }>();
let signs = 0;

/** A short name of a text, which changes with it. `tagOf('a')` is `ypeBEsobvcr6wjGzmiPcTa`. */
export const tagOf = (text: string): string =>
  createHash('sha256').update(text).digest('base64url').slice(0, 22);

/** The tag of a text and the text as it travels. A whole class asks for each: both are worked out once. */
function knownOf(text: string) {
  const held = known.get(text);
  const entry = held ?? { tag: `"${tagOf(text)}"`, packed: pack(text) };
  // Behind the others: the one asked for longest ago goes first.
  known.delete(text);
  known.set(text, entry);
  signs += held ? 0 : text.length;
  for (const oldest of known.keys()) {
    if (signs <= MOST || oldest === text) break;
    known.delete(oldest);
    signs -= oldest.length;
  }
  return entry;
}

/**
 * Sends a text that hardly ever changes: who has it already is told so and gets nothing. It is kept by the browser alone and asked for
 * each time, so that what is closed is closed.
 *
 * @returns what is still to be sent; undefined where nothing is
 */
export async function unchanged(
  request: Request,
  response: Response,
  text: string,
): Promise<string | Buffer | undefined> {
  const { tag, packed } = knownOf(text);
  response.set('Cache-Control', 'private, no-cache').set('ETag', tag).vary('Accept-Encoding');
  if (request.get('if-none-match')?.includes(tag)) return void response.status(304).end();
  if (!request.acceptsEncodings('gzip')) return text;
  response.set('Content-Encoding', 'gzip');
  return packed;
}
