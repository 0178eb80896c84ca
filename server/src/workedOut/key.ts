import { createHash } from 'node:crypto';

/** A short key of all that something follows from. */
export const keyOf = (...rests: unknown[]): string =>
  createHash('sha256').update(JSON.stringify(rests)).digest('base64url');
