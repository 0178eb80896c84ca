import { randomBytes } from 'node:crypto';
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { constants } from 'node:zlib';
import compression from 'compression';
import express, { type Express, type RequestHandler } from 'express';
import packed from 'express-static-gzip';
import { pino, type Logger } from 'pino';
import { pinoHttp } from 'pino-http';
import { description } from '@hurrow/contract/description';
import { accountRoutes } from './accounts/routes.ts';
import { openApi } from './api/openapi.ts';
import { register } from './api/register.ts';
import { secured } from './api/secured.ts';
import { serve, type Route } from './api/route.ts';
import type { Who } from './api/who.ts';
import { authRoutes } from './auth/routes.ts';
import { backupRoutes } from './backups/routes.ts';
import { characterRoutes } from './characters/routes.ts';
import type { Config } from './config.ts';
import { confusionRoutes } from './confusions/routes.ts';
import { courseRoutes } from './courses/routes.ts';
import { courseStaffRoutes } from './courseStaff/routes.ts';
import { forget, type Db } from './db/index.ts';
import { institutionRoutes } from './institution/routes.ts';
import { invitationRoutes } from './invitations/routes.ts';
import { secondRoutes } from './second/routes.ts';
import { exchangeRoutes } from './exchange/routes.ts';
import { groundRoutes } from './grounds/routes.ts';
import { Health } from './health/health.ts';
import { SLOW, watched } from './health/slowQueries.ts';
import { instrumentRoutes } from './instruments/routes.ts';
import type { HurrowJobs } from './jobs/kinds.ts';
import { keepingRoutes } from './keeping/routes.ts';
import { lessonRoutes } from './lessons/routes.ts';
import { notebookRoutes } from './notebook/routes.ts';
import { lookalikeRoutes } from './lookalikes/routes.ts';
import { contestRoutes } from './contests/routes.ts';
import { markRoutes } from './marks/routes.ts';
import { measurementRoutes } from './measurements/routes.ts';
import { learningRoutes } from './learning/routes.ts';
import { miniLessonRoutes } from './miniLessons/routes.ts';
import { outingRoutes } from './outings/routes.ts';
import { photoRoutes } from './photos/routes.ts';
import { practiceRoutes } from './practice/routes.ts';
import { lookalikePrintRoutes } from './prints/lookalikePrints.ts';
import { printRoutes } from './prints/routes.ts';
import { slipRoutes } from './prints/slips.ts';
import { specimenPictureRoutes } from './prints/specimenPicture.ts';
import { hearAnswersGone } from './quizzes/marking.ts';
import { quizRoutes } from './quizzes/routes.ts';
import { rangeRoutes } from './range/routes.ts';
import { runningRoutes } from './running/routes.ts';
import { sittingRoutes } from './sitting/routes.ts';
import { roundRoutes } from './rounds/routes.ts';
import { tryRoutes } from './rounds/trying.ts';
import { sortRoutes } from './sorts/routes.ts';
import { sourceRoutes } from './sources/routes.ts';
import { termRoutes } from './terms/routes.ts';
import { libraryRoutes } from './library/routes.ts';

const described: Route[] = [
  ...authRoutes,
  ...institutionRoutes,
  ...invitationRoutes,
  ...secondRoutes,
  ...accountRoutes,
  ...backupRoutes,
  ...libraryRoutes,
  ...sourceRoutes,
  ...characterRoutes,
  ...rangeRoutes,
  ...measurementRoutes,
  ...learningRoutes,
  ...miniLessonRoutes,
  ...practiceRoutes,
  ...groundRoutes,
  ...instrumentRoutes,
  ...photoRoutes,
  ...exchangeRoutes,
  ...lookalikeRoutes,
  // Before the prints of every kind, whose address would take theirs.
  ...slipRoutes,
  ...printRoutes,
  ...lookalikePrintRoutes,
  ...specimenPictureRoutes,
  ...courseRoutes,
  ...courseStaffRoutes,
  ...termRoutes,
  ...lessonRoutes,
  ...notebookRoutes,
  ...outingRoutes,
  ...roundRoutes,
  ...tryRoutes,
  ...sortRoutes,
  ...keepingRoutes,
  ...quizRoutes,
  ...runningRoutes,
  ...markRoutes,
  ...contestRoutes,
  ...sittingRoutes,
  ...confusionRoutes,
];

/** Every route of the API, its own description among them. */
export const ROUTES: Route[] = [...described, serve(description, async () => openApi(ROUTES) as object)];

/**
 * The application: API under /api, the built pages from `webFolder` for everything else.
 *
 * @param jobs of the same store; whoever made them closes them
 */
export function createApp(
  store: Db,
  config: Config,
  jobs: HurrowJobs,
  webFolder?: string,
  health = new Health(),
): Express {
  const app = express();
  const logger = pino({ level: config.logLevel });
  const db = watched(store, (sql, took) => {
    health.timesStatement(sql, took);
    // The words of the statement only: what was filled in may be about people.
    if (took > SLOW) logger.warn({ sql, took: Math.round(took) }, 'slow query');
  });
  db.hear('changed', () => forget(db));
  hearAnswersGone(db);
  app.disable('x-powered-by');
  app.set('trust proxy', config.proxies);
  if (config.proxies === 0) app.use(proxyNoticed(logger));
  app.use(
    pinoHttp({
      logger,
      // A line a call, with who asked as no more than a role; signs of life and the pages' own files are none.
      autoLogging: { ignore: ({ url = '' }) => !url.startsWith('/api/') },
      customProps: (_request, response) => ({
        role: ((response as express.Response).locals?.['who'] as Who | undefined)?.role ?? 'nobody',
      }),
      customLogLevel: (_request, { statusCode }) => (statusCode >= 500 ? 'warn' : 'info'),
      genReqId: () => randomBytes(6).toString('hex'),
      // Neither cookies nor what people wrote: a line of the log says which request failed, and where in the code.
      serializers: {
        req: ({ id, method, url }: { id: string; method: string; url: string }) => ({
          id,
          method,
          path: url.split('?')[0],
        }),
        res: ({ statusCode }: { statusCode: number }) => ({ statusCode }),
        err: ({ name, message, stack }: Error) => ({ name, message: message.split('\n')[0], stack }),
      },
    }),
  );
  app.use(health.timesCalls);
  health.hang(app, db);
  app.use(secured(config));
  app.use(compression({ brotli: { params: { [constants.BROTLI_PARAM_QUALITY]: 6 } } }));
  register(app, ROUTES, db, jobs, config, health);
  if (webFolder && existsSync(webFolder)) servePages(app, webFolder);
  return app;
}

/** Says once that something stands in front that Hurrow was not told of: all callers then seem to have one address. */
function proxyNoticed(logger: Logger): RequestHandler {
  let said = false;
  return (request, _response, next) => {
    if (!said && request.get('x-forwarded-for') !== undefined) {
      said = true;
      logger.warn(
        'A proxy stands in front of Hurrow. Set HURROW_PROXIES=1, and HURROW_HTTPS=1 where it speaks https, so that callers are told apart and cookies travel safely.',
      );
    }
    next();
  };
}

function servePages(app: Express, folder: string): void {
  const page = readFileSync(join(folder, 'index.html'), 'utf8');
  app.use(
    '/assets',
    packed(join(folder, 'assets'), {
      enableBrotli: true,
      orderPreference: ['br'],
      serveStatic: { immutable: true, maxAge: '1y', fallthrough: false },
    }),
  );
  app.use(express.static(folder, { index: false }));
  app.get('/{*path}', (_request, response) => {
    response
      .set('Cache-Control', 'no-cache')
      .type('html')
      .send(page.replaceAll('__NONCE__', response.locals['nonce'] as string));
  });
}
