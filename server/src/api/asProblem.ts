import type { Logger } from 'pino';
import { badInput, conflict, Problem } from './problem.ts';
import { say } from './say.ts';

/** What the system and PostgreSQL call a disk that is full or can only be read, and a page that is not what it was. */
const DISK_FULL = new Set(['ENOSPC', 'EDQUOT', 'EROFS', '53100']);
/** What PostgreSQL says of a key that does not fit into an index. */
const TOO_LONG = '54000';
const DAMAGED = new Set(['XX001', 'XX002']);

/** Others came in the way of a transaction again and again. */
const IN_THE_WAY = new Set(['40001', '40P01']);
/** A server that is not there, stops, lets nobody more in, or ended a statement that took too long. */
const AWAY = /^(ECONN\w+|EPIPE|ETIMEDOUT|08\w{3}|57P0\d|53300|57014)$/;

/** What went wrong as it is told; what nobody foresaw is logged and told by the number of the call. */
export function asProblem(error: unknown, log?: Pick<Logger, 'error'>, call?: unknown): Problem {
  if (error instanceof Problem) return error;
  const { status, code = '' } = error as { status?: number; code?: string };
  if (status === 413)
    return new Problem(413, say`The file is too large for one request. Send a smaller one, or in parts.`);
  if (status && status < 500)
    return new Problem(status, say`The request could not be read. Reload the page and try again.`);
  if (code === TOO_LONG)
    return badInput(
      say`A name in this is far too long to be one, such as that of a source, a species or a character. Look for a cell into which something else has slipped; nothing was stored.`,
    );
  if (IN_THE_WAY.has(code))
    return conflict(
      say`Others were changing the same just now, and this was not stored. Try again in a moment.`,
    );
  log?.error(error);
  if (AWAY.test(code))
    return new Problem(
      503,
      say`The database does not answer just now, and this was not stored. It stays where you typed it; try again in a minute.`,
    );
  if (DISK_FULL.has(code))
    return new Problem(
      507,
      say`The disk of this Hurrow is full, and this was not stored. It stays where you typed it; tell the owner to make room, then try again.`,
    );
  if (DAMAGED.has(code))
    return new Problem(
      500,
      say`A part of the store cannot be read, as after a fault of the disk. Nothing you typed was lost; tell the owner. A folder is brought back with Hurrow stopped by “npm run repair”, a PostgreSQL server by its own tools.`,
      undefined,
      'damaged',
    );
  return new Problem(
    500,
    call === undefined
      ? say`Something went wrong on the server. Nothing you typed was lost; try again, and if it stays tell the owner.`
      : say`Something went wrong on the server. Nothing you typed was lost; try again, and if it stays tell the owner the number ${String(call)}.`,
  );
}
