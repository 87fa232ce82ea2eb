import compression from 'compression';
import express, { type Express } from 'express';
import helmet from 'helmet';
import type pg from 'pg';
import { accessRoutes, gate } from './access/access.routes';
import { backupRoutes } from './backups/backups.routes';
import { balanceRoutes } from './balances/balances.routes';
import { clientRoutes } from './clients/clients.routes';
import { errorHandler } from './http/errors';
import { exportRoutes } from './exports/exports.routes';
import { knownListRoutes } from './known-lists/known-lists.routes';
import { industryRoutes } from './industries/industries.routes';
import { openApi } from './http/open-api';
import { keptChartRoutes } from './kept-charts/kept-charts.routes';
import { ProblemError } from './http/problem';
import { proposalRoutes } from './proposals/proposals.routes';
import { simulatedRoutes } from './simulated/simulated.routes';
import { splitRoutes } from './splits/splits.routes';
import { reviewRoutes } from './reviews/reviews.routes';
import { revisionRoutes } from './revisions/revisions.routes';

/** What the application is made of. `web` is the folder of the built interface; none in tests of the API. */
export interface AppParts {
  readonly pool: pg.Pool;
  readonly web?: string;
  readonly log: (line: string) => void;
}

const securityHeaders = () =>
  helmet({
    contentSecurityPolicy: {
      directives: {
        // Plain HTTP on loopback: nothing to upgrade. The control library styles inline.
        upgradeInsecureRequests: null,
        styleSrc: ["'self'", "'unsafe-inline'"],
        workerSrc: ["'self'"],
      },
    },
    strictTransportSecurity: false,
  });

const serveWeb = (app: Express, web: string): void => {
  app.use(express.static(web, { index: false, maxAge: '1y', immutable: true }));
  app.get('/{*path}', (_request, response) => {
    response.sendFile('index.html', { root: web, headers: { 'Cache-Control': 'no-cache' } });
  });
};

/** The whole server on one database. Holds no state of its own. */
export const createApp = ({ pool, web, log }: AppParts): Express => {
  const app = express();
  app.disable('x-powered-by');
  app.use(securityHeaders(), compression(), express.json({ limit: '20mb' }));
  app.get('/api/openapi.json', (_request, response) => void response.json(openApi()));
  app.use('/api', accessRoutes(pool));
  app.use('/api', gate(pool));
  app.use(
    '/api',
    clientRoutes(pool),
    proposalRoutes(pool),
    revisionRoutes(pool),
    balanceRoutes(pool),
    splitRoutes(pool),
    reviewRoutes(pool),
    industryRoutes(),
    knownListRoutes(pool),
    exportRoutes(pool),
    backupRoutes(pool),
    keptChartRoutes(pool),
    simulatedRoutes(),
  );
  app.use('/api', () => {
    throw new ProblemError({ code: 'notFound' });
  });
  if (web !== undefined) serveWeb(app, web);
  app.use(errorHandler(log));
  return app;
};
