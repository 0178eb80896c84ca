import type Joi from 'joi';
import type { Request, Response } from 'express';
import type { Config } from '../config.ts';
import type { Db } from '../db/index.ts';
import type { Health } from '../health/health.ts';

export type Role = 'owner' | 'instructor' | 'assistant' | 'student';

/** Who is calling, from the session cookie. */
export interface Who {
  role: Role;
  name: string;
  accountId?: string;
  studentId?: string;
  courseId?: string;
}

/** Those who teach. */
export const STAFF: Role[] = ['owner', 'instructor', 'assistant'];
/** Those who may change courses and the library. */
export const INSTRUCTORS: Role[] = ['owner', 'instructor'];

export interface Context<Body, Params, Query> {
  db: Db;
  config: Config;
  health: Health;
  now: Date;
  who: Who | undefined;
  body: Body;
  params: Params;
  query: Query;
  request: Request;
  response: Response;
}

/** One call of the API: what it takes, who may make it, what it does. The OpenAPI description is made from this. */
export interface Route<Body = unknown, Params = Record<string, string>, Query = Record<string, string>> {
  method: 'get' | 'post' | 'put' | 'delete';
  /** With parameters as `{name}`. */
  path: string;
  summary: string;
  allow: 'anyone' | Role[];
  body?: Joi.ObjectSchema<Body>;
  query?: Joi.ObjectSchema<Query>;
  /** Parameters of the path; where none are given each is a short text. */
  params?: Joi.ObjectSchema<Params>;
  /** The body is a picture, handed on as a Buffer; otherwise it is JSON. */
  takesImage?: boolean;
  /** Largest body, such as '25mb'; 4mb where nothing is said. */
  limit?: string;
  /** The handler looks at each part of the body on its own, so that one bad part does not refuse the others. */
  severally?: boolean;
  /** Failed calls are counted and slowed down: for each address and whom is guessed at, so that nobody locks out the others of a room. */
  guessable?: { field: string; most: number };
  /** Media type of the answer when it is not JSON; the handler then returns a string or a Buffer. */
  answers?: string;
  handle(context: Context<Body, Params, Query>): Promise<unknown>;
}

/** Keeps the types of one route while letting routes of all kinds stand in one list. */
export const route = <Body, Params = Record<string, string>, Query = Record<string, string>>(
  definition: Route<Body, Params, Query>,
): Route => definition as unknown as Route;

/** The account that is calling, in routes that only staff may call. */
export const accountOf = (who: Who | undefined): string => who!.accountId!;
