/** An error that a user can act on: its message says what is wrong and what to do. */
export class Problem extends Error {
  readonly status: number;
  readonly details: unknown;
  constructor(status: number, message: string, details?: unknown) {
    super(message);
    this.status = status;
    this.details = details;
  }
}

export const badInput = (message: string, details?: unknown) => new Problem(422, message, details);
export const notFound = (what: string) =>
  new Problem(404, `There is no such ${what}. It may have been removed; go back and choose again.`);
export const conflict = (message: string, details?: unknown) => new Problem(409, message, details);
