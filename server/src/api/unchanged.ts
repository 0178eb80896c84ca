import { createHash } from 'node:crypto';
import { promisify } from 'node:util';
import { brotliCompress, constants, gzip } from 'node:zlib';
import type { Request, Response } from 'express';

/** How a text is packed, the smaller way first: browsers take it only over https and from this machine. */
const PACKED = {
  br: (text: string) => promisify(brotliCompress)(text, { params: { [constants.BROTLI_PARAM_QUALITY]: 9 } }),
  gzip: (text: string) => promisify(gzip)(text),
};
type Packing = keyof typeof PACKED;
const WAYS = Object.keys(PACKED) as Packing[];

/** Signs of texts in memory, at most: those of the quizzes that are sat now, and the library of the last revisions. */
const MOST = 60_000_000;
const known = new Map<string, { tag: string; packed: Partial<Record<Packing, Promise<Buffer>>> }>();
let signs = 0;

/** A short name of a text, which changes with it. `tagOf('a')` is `ypeBEsobvcr6wjGzmiPcTa`. */
export const tagOf = (text: string): string =>
  createHash('sha256').update(text).digest('base64url').slice(0, 22);

/** The tag of a text and the text as it travels. A whole class asks for each: all is worked out once. */
function knownOf(text: string) {
  const held = known.get(text);
  const entry = held ?? { tag: `"${tagOf(text)}"`, packed: {} };
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
  const packing = WAYS.find((way) => request.acceptsEncodings(way));
  if (!packing) return text;
  response.set('Content-Encoding', packing);
  return (packed[packing] ??= PACKED[packing](text));
}
