import { t } from '@lingui/core/macro';
import { addressOf } from '@hurrow/contract/address';
import type { Answer, Call, Given } from '@hurrow/contract/api';
import type { ProblemAnswer, ProblemCode } from '@hurrow/contract/problem';
import { inSpoken } from '../language/ofServer.ts';

/** An error of the server with the message that it gave, or 'offline' where the server was not reached. */
export class ApiError extends Error {
  readonly code: ProblemCode | 'offline';
  readonly details: unknown;
  constructor(code: ProblemCode | 'offline', message: string, details?: unknown) {
    super(message);
    this.code = code;
    this.details = details;
  }
}

/** Is this an error that the server, or the way there, has answered with? */
export const isProblem = (error: unknown, ...codes: (ProblemCode | 'offline')[]): boolean =>
  error instanceof ApiError && codes.includes(error.code);

type Listener = () => void;
const lost = new Set<Listener>();

/** Calls back when the server says that the session has ended. Returns what stops it. */
export function onSessionLost(listener: Listener): () => void {
  lost.add(listener);
  return () => lost.delete(listener);
}

let student: string | undefined;

/** Says whose page this is, so that what it sends counts for nobody who signs in in another tab. Nothing where no student is signed in. */
export const speakFor = (id: string | undefined): void => {
  student = id;
};

/** The student whose page this is. */
export const speaksFor = (): string | undefined => student;

let signingIn: Promise<unknown> = Promise.resolve();

/** Signs in again after a session has ended. Calls made while it runs wait for it: who presses “Save” at once means to be signed in. */
export function signInAgain(body: { email: string; password: string; code?: string }): Promise<void> {
  const signed = call('POST /api/session/account', { body });
  signingIn = signed.catch(() => undefined);
  return signed.then(() => undefined);
}

/**
 * One call of the API, by its name in the contract; a body is sent as JSON, a picture as it is. Throws ApiError with a message for the user.
 * One that says “signed out” while someone was signed in also tells everyone who listens that the session is gone.
 *
 * @param giveUp milliseconds after which an unanswered call is given up
 * @example
 * const course = await call('GET /api/courses/{courseId}', { params: { courseId } });
 */
export async function call<C extends Call>(
  name: C,
  ...[given, giveUp]: Record<never, never> extends Given<C>
    ? [given?: Given<C>, giveUp?: number]
    : [given: Given<C>, giveUp?: number]
): Promise<Answer<C>> {
  const { body, ...rest } = (given ?? {}) as { body?: unknown; params?: object; query?: object };
  const { method, path } = addressOf(name, rest);
  if (!path.startsWith('/api/session')) await signingIn;
  let response: Response;
  const picture = body instanceof Blob;
  const headers: Record<string, string> = { 'x-hurrow': '1' };
  if (student) headers['x-hurrow-student'] = student;
  if (body !== undefined) headers['content-type'] = picture ? body.type : 'application/json';
  try {
    response = await fetch(path, {
      method,
      headers,
      ...(body === undefined ? {} : { body: picture ? body : JSON.stringify(body) }),
      ...(giveUp === undefined ? {} : { signal: AbortSignal.timeout(giveUp) }),
    });
  } catch {
    throw new ApiError(
      'offline',
      t`No connection to the server. What you typed is kept; try again when you are back online.`,
    );
  }
  const answer = (await response.json().catch(() => ({}))) as Partial<ProblemAnswer>;
  if (response.ok) return answer as Answer<C>;
  const {
    code = 'unexpected',
    message = t`The server did not answer as expected. Try again.`,
    said,
  } = answer;
  if (code === 'signedOut' && !path.startsWith('/api/session')) lost.forEach((listener) => listener());
  throw new ApiError(code, await inSpoken({ message, ...(said ? { said } : {}) }), answer.details);
}

/** The message of any error, for showing. */
export const messageOf = (error: unknown): string =>
  error instanceof Error ? error.message : t`Something went wrong. Try again.`;
