import type Joi from 'joi';

export type Role = 'owner' | 'instructor' | 'assistant' | 'student';

/** Those who teach. */
export const STAFF: Role[] = ['owner', 'instructor', 'assistant'];
/** Those who may change courses and the library. */
export const INSTRUCTORS: Role[] = ['owner', 'instructor'];

/** What a call that has nothing else to say is answered with. */
export interface Done {
  done: true;
}
/** What a change of the library is answered with: the revision that it made. */
export interface Revised {
  revision: number;
}
/** A picture, a file or a stream: no JSON. */
export type Sent = string | Uint8Array;

export type Method = 'get' | 'post' | 'put' | 'delete';

/** The types of a call; what it does not take is left out. */
export interface Parts {
  /** Where they are not just text: see `ParametersOf`. */
  params?: object;
  query?: object;
  body?: unknown;
  answer?: unknown;
}

/** What is said of a call beside its types. */
export interface Definition<M extends Method = Method, Path extends string = string> {
  method: M;
  /** With parameters as `{name}`. */
  path: Path;
  summary: string;
  allow: 'anyone' | Role[];
  body?: Joi.ObjectSchema;
  query?: Joi.ObjectSchema;
  /** Parameters of the path; where none are given each is a short text. */
  params?: Joi.ObjectSchema;
  /** The body is a picture, handed on as a Buffer; otherwise it is JSON. */
  takesImage?: boolean;
  /** Largest body, such as '25mb'; 4mb where nothing is said. */
  limit?: string;
  /** The handler looks at each part of the body on its own, so that one bad part does not refuse the others. */
  severally?: boolean;
  /** Failed calls are counted and slowed down: for each address and whom is guessed at, so that nobody locks out the others of a room. */
  guessable?: { field: string; most: number };
  /** Media type of the answer when it is not JSON. */
  answers?: string;
}

/** One call of the API: what it takes, who may make it, and by its type what it is answered with. */
export interface Endpoint<
  P extends Parts = Parts,
  M extends Method = Method,
  Path extends string = string,
> extends Definition<M, Path> {
  /** For the compiler only. */
  readonly parts?: P;
}

/**
 * One call of the API. The types are given first, the rest is inferred.
 *
 * @example
 * export const rename = endpoint<{ body: { name: string }; answer: Done }>()({
 *   method: 'put',
 *   path: '/api/things/{thingId}',
 *   summary: 'Gives a thing another name.',
 *   allow: INSTRUCTORS,
 *   body: Joi.object({ name: Joi.string().required() }),
 * });
 */
export const endpoint =
  <P extends Parts>() =>
  <M extends Method, const Path extends string>(definition: Definition<M, Path>): Endpoint<P, M, Path> =>
    definition;

type Names<Path extends string> = Path extends `${string}{${infer Name}}${infer Rest}`
  ? Name | Names<Rest>
  : never;

/** The parameters of a path: `{ thingId: string }` for `/api/things/{thingId}`, or what the call says of them. */
export type ParametersOf<E> =
  E extends Endpoint<infer P, Method, infer Path>
    ? P extends { params: infer Params }
      ? Params
      : Record<Names<Path>, string>
    : never;
export type QueryOf<E> =
  E extends Endpoint<infer P> ? (P extends { query: infer Query } ? Query : unknown) : never;
export type BodyOf<E> =
  E extends Endpoint<infer P> ? (P extends { body: infer Body } ? Body : unknown) : never;
export type AnswerOf<E> = E extends Endpoint<infer P> ? P['answer'] : never;
