import compression from 'compression';
import type { EntranceAnswer } from '@iunctus/contract';
import express, { type ErrorRequestHandler, type Express } from 'express';
import packedFiles from 'express-static-gzip';
import { extname } from 'node:path';
import type pg from 'pg';
import type { SessionLimits } from './access/access.service';
import { failedOutcome } from './endpoints/perform';
import { healthRoutes } from './health/health';
import { apiRoutes } from './http/api';
import { knownHost, ownOrigin, securityHeaders, type Edge } from './http/edge';
import { accessLog, requestIdOf, type Log } from './http/logging';
import { problem } from './problems/problem';
import type { Lanes } from './lanes/lanes';

/** What the application is made of. `web` is the folder of the built interface; none in tests of the API. */
export interface AppParts {
  readonly pool: pg.Pool;
  /** For backups, which take longer than anybody waits at a page. */
  readonly patientPool: pg.Pool;
  readonly lanes: Lanes;
  readonly log: Log;
  readonly edge: Edge;
  /** What Express is to believe of a proxy; `false` for none. */
  readonly trustedProxy: string | number | false;
  readonly sessions: SessionLimits;
  readonly secret: string;
  /** Who may sign in to the demo practice; `null` where it is not there. */
  readonly demo: EntranceAnswer['demo'];
  readonly web?: string;
  readonly isStopping?: () => boolean;
}

/** Files as the build packed them; every other address is a place of the one page, and a file that is none is not there. */
const serveWeb = (app: Express, web: string): void => {
  app.use(
    packedFiles(web, {
      index: false,
      enableBrotli: true,
      orderPreference: ['br', 'gz'],
      serveStatic: { maxAge: '1y', immutable: true },
    }),
  );
  app.get('/{*path}', (request, response) => {
    if (extname(request.path) !== '') problem({ code: 'notFound' });
    response.sendFile('index.html', { root: web, headers: { 'Cache-Control': 'no-cache' } });
  });
};

/** The one place where an error becomes an answer; what is nobody's mistake but ours is logged with the request's id. */
const answerError: ErrorRequestHandler = (error, request, response, next) => {
  const { status, headers, body, fault } = failedOutcome(error, requestIdOf(request));
  if (fault !== null) request.log.error({ event: 'fault', fault });
  if (response.headersSent) return next(error);
  response.status(status).set(headers);
  // What was not read of a refused request is not waited for.
  if (!request.complete) response.set('Connection', 'close');
  response.end(body);
};

/** The whole server on one database. Holds no state of its own, so that several may run. */
export const createApp = (parts: AppParts): Express => {
  const { pool, edge, log } = parts;
  const app = express();
  app.disable('x-powered-by');
  app.set('trust proxy', parts.trustedProxy);
  app.set('query parser', 'simple');
  app.use(accessLog(log, parts.trustedProxy !== false));
  app.use(healthRoutes(pool, parts.isStopping ?? (() => false)));
  app.use(securityHeaders(edge), knownHost(edge), ownOrigin(edge), compression());
  const backups = { pool: parts.patientPool, secret: parts.secret };
  const { lanes, sessions: limits, demo } = parts;
  app.use('/api', apiRoutes({ pool, limits, log, lanes, backups, demo }));
  if (parts.web !== undefined) serveWeb(app, parts.web);
  app.use(answerError);
  return app;
};
