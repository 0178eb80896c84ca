import { createHash } from 'node:crypto';
import type { Request, Response } from 'express';

const tags = new Map<string, string>();

/** A short name of a text that changes with it. The drawings of a quiz are asked for by a whole class: each is named once. */
function tagOf(text: string): string {
  const held = tags.get(text);
  if (held) return held;
  const tag = `"${createHash('sha256').update(text).digest('base64url').slice(0, 22)}"`;
  if (tags.size > 500) tags.clear();
  tags.set(text, tag);
  return tag;
}

/**
 * Sends a text that hardly ever changes: who has it already is told so and gets nothing. It is kept by the browser alone and asked for
 * each time, so that what is closed is closed.
 */
export function unchanged(request: Request, response: Response, text: string): string | undefined {
  const tag = tagOf(text);
  response.set('Cache-Control', 'private, no-cache').set('ETag', tag);
  if (request.get('if-none-match')?.includes(tag)) return void response.status(304).end();
  return text;
}

const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i;

/** Can a text be the id of a row? The store refuses to look for others. */
export const isUuid = (text: string): boolean => UUID.test(text);
