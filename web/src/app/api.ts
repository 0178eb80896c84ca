/** An error of the server with the message that it gave. */
export class ApiError extends Error {
  readonly status: number;
  readonly details: unknown;
  constructor(status: number, message: string, details?: unknown) {
    super(message);
    this.status = status;
    this.details = details;
  }
}

type Listener = () => void;
const lost = new Set<Listener>();

/** Calls back when the server says that the session has ended. Returns what stops it. */
export function onSessionLost(listener: Listener): () => void {
  lost.add(listener);
  return () => lost.delete(listener);
}

let signingIn: Promise<unknown> = Promise.resolve();

/** Signs in again after a session has ended. Calls made while it runs wait for it: who presses “Save” at once means to be signed in. */
export function signInAgain(fields: unknown): Promise<void> {
  const signed = post('/api/session/account', fields);
  signingIn = signed.catch(() => undefined);
  return signed.then(() => undefined);
}

/**
 * One call of the API; a body is sent as JSON, a picture as it is. Throws ApiError with a message for the user; status 0 when the server cannot be reached. A 401 while
 * signed in also tells everyone who listens that the session is gone.
 */
export async function api<T>(
  method: 'GET' | 'POST' | 'PUT' | 'DELETE',
  path: string,
  body?: unknown,
  /** Milliseconds after which an unanswered call is given up. */
  giveUp?: number,
): Promise<T> {
  if (!path.startsWith('/api/session')) await signingIn;
  let response: Response;
  const picture = body instanceof Blob;
  const headers: Record<string, string> = { 'x-hurrow': '1' };
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
      0,
      'No connection to the server. What you typed is kept; try again when you are back online.',
    );
  }
  const answer = (await response.json().catch(() => ({}))) as { message?: string; details?: unknown };
  if (response.ok) return answer as T;
  if (response.status === 401 && !path.startsWith('/api/session')) lost.forEach((listener) => listener());
  throw new ApiError(
    response.status,
    answer.message ?? 'The server did not answer as expected. Try again.',
    answer.details,
  );
}

export const get = <T>(path: string) => api<T>('GET', path);
export const post = <T>(path: string, body: unknown = {}, giveUp?: number) =>
  api<T>('POST', path, body, giveUp);
export const put = <T>(path: string, body: unknown) => api<T>('PUT', path, body);
export const remove = <T>(path: string) => api<T>('DELETE', path);

/** The message of any error, for showing. */
export const messageOf = (error: unknown): string =>
  error instanceof Error ? error.message : 'Something went wrong. Try again.';
