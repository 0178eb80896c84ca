import type { ProblemAnswer, ProblemCode, Said } from '@hurrow/contract/problem';
import { say } from './say.ts';

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
  /** How it is said in other languages; undefined where it is said in English alone. */
  readonly said: Omit<Said, 'message'> | undefined;
  constructor(status: number, message: string | Said, details?: unknown, code: ProblemCode = codeOf(status)) {
    super(typeof message === 'string' ? message : message.message);
    this.status = status;
    this.code = code;
    this.details = details;
    this.said = typeof message === 'string' ? undefined : { id: message.id, values: message.values };
  }
}

/** A problem as a call is answered with it. */
export const answerOf = ({ code, message, said, details }: Problem): ProblemAnswer => ({
  code,
  message,
  ...(said ? { said } : {}),
  ...(details === undefined ? {} : { details }),
});

/** What may not be there. */
const THINGS = {
  account: say`account`,
  backup: say`backup`,
  bag: say`bag`,
  change: say`change`,
  'character of the library’s own': say`character of the library’s own`,
  'character on the list of this course': say`character on the list of this course`,
  'collecting list': say`collecting list`,
  course: say`course`,
  drawing: say`drawing`,
  entry: say`entry`,
  grounds: say`grounds`,
  institution: say`institution`,
  key: say`key`,
  lesson: say`lesson`,
  library: say`library`,
  'mini-lesson': say`mini-lesson`,
  'other tree': say`other tree`,
  photo: say`photo`,
  photograph: say`photograph`,
  picture: say`picture`,
  piece: say`piece`,
  question: say`question`,
  quiz: say`quiz`,
  'rule of thumb': say`rule of thumb`,
  ruling: say`ruling`,
  set: say`set`,
  species: say`species`,
  station: say`station`,
  student: say`student`,
  table: say`table`,
  tree: say`tree`,
  walk: say`walk`,
};

export const badInput = (message: string | Said, details?: unknown, code?: ProblemCode) =>
  new Problem(422, message, details, code);
export const notFound = (what: keyof typeof THINGS) =>
  new Problem(
    404,
    say`There is no such ${THINGS[what]}. It may have been removed; go back and choose again.`,
  );
export const conflict = (message: string | Said, details?: unknown, code?: ProblemCode) =>
  new Problem(409, message, details, code);

/** What one stood on was changed by somebody else meanwhile; `what` begins a sentence, such as “Tree Q-03”. */
export const stale = (what: Said) =>
  conflict(
    say`${what} was changed by someone else while you were editing. Load the new version, then make your change again.`,
    undefined,
    'stale',
  );
