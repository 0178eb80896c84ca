import type { ProblemCode } from '@hurrow/contract/problem';

/** What a status says where nothing more exact is known. */
const BY_STATUS: Record<number, ProblemCode> = {
  401: 'signedOut',
  403: 'forbidden',
  404: 'missing',
  409: 'conflict',
  410: 'missing',
  413: 'tooLarge',
  422: 'invalid',
  429: 'tooMany',
  503: 'unexpected',
  507: 'diskFull',
};
export const codeOf = (status: number): ProblemCode =>
  BY_STATUS[status] ?? (status < 500 ? 'invalid' : 'unexpected');

/** An error that a user can act on: its message says what is wrong and what to do. */
export class Problem extends Error {
  readonly status: number;
  readonly code: ProblemCode;
  readonly details: unknown;
  constructor(status: number, message: string, details?: unknown, code: ProblemCode = codeOf(status)) {
    super(message);
    this.status = status;
    this.code = code;
    this.details = details;
  }
}

export const badInput = (message: string, details?: unknown, code?: ProblemCode) =>
  new Problem(422, message, details, code);
export const notFound = (what: string) =>
  new Problem(404, `There is no such ${what}. It may have been removed; go back and choose again.`);
export const conflict = (message: string, details?: unknown, code?: ProblemCode) =>
  new Problem(409, message, details, code);

/** What one stood on was changed by somebody else meanwhile; `what` begins a sentence, such as “Tree Q-03”. */
export const stale = (what: string) =>
  conflict(
    `${what} was changed by someone else while you were editing. Load the new version, then make your change again.`,
    undefined,
    'stale',
  );
