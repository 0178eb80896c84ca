import type { Request, Response } from 'express';
import type {
  AnswerOf,
  BodyOf,
  Done,
  Endpoint,
  ParametersOf,
  QueryOf,
  Sent,
} from '@hurrow/contract/endpoint';
import type { Config } from '../config.ts';
import type { Db } from '../db/index.ts';
import type { Health } from '../health/health.ts';
import type { HurrowJobs } from '../jobs/kinds.ts';
import type { Who } from './who.ts';

export interface Context<E> {
  db: Db;
  /** Work that takes long, which any process may do. */
  jobs: HurrowJobs;
  config: Config;
  health: Health;
  now: Date;
  who: Who | undefined;
  body: BodyOf<E>;
  params: ParametersOf<E>;
  query: QueryOf<E>;
  request: Request;
  response: Response;
}

/** A call of the API with the work that answers it. */
export interface Route extends Endpoint {
  handle(context: Context<Endpoint<{ params: Record<string, string> }>>): Promise<unknown>;
}

/** What a handler resolves with: nothing where the call is merely done, or where it has sent the answer itself. */
type Handled<A> = A extends Done | Sent ? unknown : A | undefined;

/** Says how a call of the contract is answered. */
export const serve = <E extends Endpoint>(
  endpoint: E,
  handle: (context: Context<E>) => Promise<Handled<AnswerOf<E>>>,
): Route => ({ ...endpoint, handle: handle as unknown as Route['handle'] });

/** The account that is calling, in routes that only staff may call. */
export const accountOf = (who: Who | undefined): string => who!.accountId!;
