import express, { type ErrorRequestHandler, type Express, type Request, type RequestHandler } from 'express';
import { ipKeyGenerator, rateLimit } from 'express-rate-limit';
import Joi from 'joi';
import type { Config } from '../config.ts';
import { nowOf } from '../config.ts';
import { forget, type Db } from '../db/index.ts';
import type { Health } from '../health/health.ts';
import type { HurrowJobs } from '../jobs/kinds.ts';
import { whoIs } from '../auth/sessions.ts';
import { standingIn, type About } from '../courseStaff/standing.ts';
import { isPlainText } from './plainText.ts';
import { asProblem } from './asProblem.ts';
import { answerOf, Problem } from './problem.ts';
import { say } from './say.ts';
import { SharedCount } from '../guesses/sharedCount.ts';
import type { Route } from './route.ts';
import type { Who } from './who.ts';

/** Hangs the routes into the application: who may call, what is valid, and errors as JSON with a message. */
export function register(
  app: Express,
  routes: readonly Route[],
  db: Db,
  jobs: HurrowJobs,
  config: Config,
  health: Health,
): void {
  const count = () => (db.shared ? { store: new SharedCount(db) } : {});
  for (const entry of routes) {
    const path = entry.path.replace(/\{(\w+)\}/g, ':$1');
    const guards = entry.guessable ? [slowGuessing(entry.path, entry.guessable, count())] : [];
    const limit = entry.guessable ? '10kb' : (entry.limit ?? '4mb');
    const read = entry.takesImage ? express.raw({ type: 'image/*', limit }) : express.json({ limit });
    // Who calls is known before anything that is sent is read: nobody makes the server read a file who may not send one.
    const known: RequestHandler = async (request, response, next) => {
      response.locals['who'] = await admitted(db, entry, request);
      next();
    };
    app[entry.method](path, known, read, ...guards, async (request, response) => {
      const who = response.locals['who'] as Who | undefined;
      if (!isPlainText([request.params, request.query, entry.severally ? {} : request.body]))
        throw new Problem(
          422,
          say`What was sent holds signs that cannot be stored (a zero byte or half a sign), or is nested too deeply to be read. Type it again.`,
        );
      const asked = {
        db,
        jobs,
        config,
        health,
        now: nowOf(config),
        who,
        body: valid(entry.body, request.body ?? {}),
        params: valid(entry.params ?? anyParams, request.params) as Record<string, string>,
        query: valid(entry.query, request.query as unknown) as Record<string, string>,
        request,
        response,
      };
      let answer: unknown;
      try {
        answer = await entry.handle(asked);
      } finally {
        await changed(db, entry);
      }
      if (response.headersSent) return;
      if (!response.get('Cache-Control')) response.set('Cache-Control', 'no-store');
      if (entry.answers) response.type(entry.answers).send(answer);
      else response.json(answer ?? { done: true });
    });
  }
  app.use('/api', () => {
    throw new Problem(404, say`The API has no such address. /api/openapi.json lists them all.`);
  });
  app.use('/api', errorsAsJson);
}

/** After a change nothing that was remembered holds; answers of students change nothing that others are asked about. */
async function changed(db: Db, { method, severally }: Route): Promise<void> {
  if (method === 'get' || severally) return;
  forget(db);
  // Others forget, too; where they cannot be told, they do so by themselves in two seconds.
  await db.tell('changed', '').catch(() => undefined);
}

/** Counts failed calls of ten minutes from an address at one account or course; where processes share a store, together. */
const slowGuessing = (
  path: string,
  { field, most }: NonNullable<Route['guessable']>,
  counted: { store?: SharedCount },
) =>
  rateLimit({
    ...counted,
    windowMs: 10 * 60_000,
    limit: most,
    skipSuccessfulRequests: true,
    standardHeaders: true,
    legacyHeaders: false,
    keyGenerator: ({ ip = '', body }, response) => {
      const aimedAt = (body as Record<string, unknown> | undefined)?.[field];
      const who = response.locals['who'] as Who | undefined;
      const whom =
        typeof aimedAt === 'string' ? aimedAt.replace(/\s/g, '').toLowerCase() : (who?.accountId ?? '');
      return `${path} ${ipKeyGenerator(ip)} ${whom}`;
    },
    message: answerOf(
      new Problem(429, say`Too many failed sign-ins from here. Wait ten minutes and try again.`),
    ),
  });

/** Who calls a route. Throws where it is not for them, or the call does not come from our own pages. */
async function admitted(db: Db, entry: Route, request: Request): Promise<Who | undefined> {
  const forStudentsAlone = entry.allow !== 'anyone' && entry.allow.every((role) => role === 'student');
  const who = await whoIs(db, request, forStudentsAlone);
  if (entry.allow !== 'anyone') {
    if (!who) throw new Problem(401, say`You are signed out. Sign in again; what you typed is still here.`);
    // A tab that was opened by one student speaks for nobody who signed in on the phone after them.
    const speaksFor = request.get('x-hurrow-student');
    if (speaksFor !== undefined && speaksFor !== who.studentId)
      throw new Problem(
        401,
        say`Somebody else is signed in on this phone now. What you wrote is kept on it; sign in again to send it.`,
      );
    const standing = await standingAt(db, who, request);
    if (!entry.allow.includes(standing.role))
      throw new Problem(403, say`Your account may not do this. Ask the owner of this Hurrow.`);
    return fromOwnPages(entry, request, standing);
  }
  return fromOwnPages(entry, request, who);
}

/**
 * Who calls, as they stand in the course or quiz of the address; without one, in the course that is asked for. Throws where any course that
 * is named is closed to them: naming an open one beside it opens nothing.
 */
async function standingAt(db: Db, who: Who, { params, query }: Request): Promise<Who> {
  const text = (value: unknown) => (typeof value === 'string' && value !== '-' ? value : undefined);
  const named: About[] = [
    { quizId: text(params['quizId']) },
    ...[params['courseId'], query['courseId'], query['course']].map((id) => ({ courseId: text(id) })),
  ].filter((about) => Object.values(about).some((id) => id !== undefined)) as About[];
  const standings: Who[] = [];
  for (const about of named) standings.push(await standingIn(db, who, about));
  return standings[0] ?? who;
}

/** Who calls; throws where a change does not come from our own pages. */
function fromOwnPages(entry: Route, request: Request, who: Who | undefined): Who | undefined {
  if (entry.method !== 'get' && request.get('x-hurrow') === undefined)
    throw new Problem(403, say`This request did not come from Hurrow’s own pages and was refused.`);
  return who;
}

const anyParams = Joi.object().pattern(Joi.string(), Joi.string().max(120));

function valid(schema: Joi.ObjectSchema | undefined, input: unknown): unknown {
  if (!schema) return input;
  const { value, error } = schema.validate(input, { abortEarly: false, convert: true });
  if (!error) return value;
  const message = error.details
    .map((detail) => detail.message.replace(/"([^"]*)"/g, '“$1”'))
    .map((one) => `${one}.`)
    .join(' ');
  throw new Problem(
    422,
    message,
    error.details.map((detail) => detail.path.join('.')),
  );
}

const errorsAsJson: ErrorRequestHandler = (error: unknown, request: Request, response, next) => {
  if (response.headersSent) return next(error);
  const problem = asProblem(error, request.log, request.id);
  response.status(problem.status).json(answerOf(problem));
};
