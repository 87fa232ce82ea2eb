import { Router } from 'express';
import type pg from 'pg';

const reached = async (pool: pg.Pool): Promise<boolean> => {
  try {
    await pool.query('SELECT name FROM schema_migration LIMIT 1');
    return true;
  } catch {
    return false;
  }
};

/** For whoever watches the server: `/health` while it runs, `/ready` while it can serve, too. */
export const healthRoutes = (pool: pg.Pool, isStopping: () => boolean): Router => {
  const router = Router();
  router.get('/health', (_request, response) => void response.json({ alive: true }));
  router.get('/ready', async (_request, response) => {
    const ready = !isStopping() && (await reached(pool));
    response.status(ready ? 200 : 503).json({ ready });
  });
  return router;
};
