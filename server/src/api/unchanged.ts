import { createHash } from 'node:crypto';
import { gzipSync } from 'node:zlib';
import type { Request, Response } from 'express';

/** Texts in memory: those of the quizzes that are sat now. */
const MOST = 300;
const known = new Map<string, { tag: string; packed: Buffer }>();

/** A short name of a text, which changes with it, and the text as it travels. A whole class asks for each: both are worked out once. */
function knownOf(text: string) {
  const held = known.get(text);
  if (held) return held;
  const tag = `"${createHash('sha256').update(text).digest('base64url').slice(0, 22)}"`;
  const entry = { tag, packed: gzipSync(text) };
  if (known.size >= MOST) known.clear();
  known.set(text, entry);
  return entry;
}

/**
 * Sends a text that hardly ever changes: who has it already is told so and gets nothing. It is kept by the browser alone and asked for
 * each time, so that what is closed is closed.
 */
export function unchanged(request: Request, response: Response, text: string): string | Buffer | undefined {
  const { tag, packed } = knownOf(text);
  response.set('Cache-Control', 'private, no-cache').set('ETag', tag).vary('Accept-Encoding');
  if (request.get('if-none-match')?.includes(tag)) return void response.status(304).end();
  if (!request.acceptsEncodings('gzip')) return text;
  response.set('Content-Encoding', 'gzip');
  return packed;
}
