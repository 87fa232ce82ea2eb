import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { createGzip } from 'node:zlib';
import { Router, type Response } from 'express';
import type pg from 'pg';
import type { Viewer } from '../access/access.service';
import { clientOf } from '../clients/clients.service';
import { many } from '../database/query';
import { inTransactionOn, type Transaction } from '../database/transaction';
import { idIn, viewerOf } from '../http/handle';
import { problem } from '../http/problem';
import type { BackupScope } from './backup-tables';
import { backupLines } from './write-backup';

/** Refuses somebody from whom an account is hidden: a backup would show it. */
const refuseHidden = async (
  on: Transaction,
  { userId, practiceId }: Viewer,
  scope: BackupScope,
): Promise<void> => {
  const [hidden] = await many<{ id: string }>(on, {
    text: `
      SELECT account.id FROM account JOIN chart ON chart.id = account.chart_id
      WHERE chart.practice_id = $1 AND ($3::uuid IS NULL OR chart.client_id = $3)
        AND account.settings ? 'restrictedTo' AND NOT account.settings -> 'restrictedTo' ? $2
      LIMIT 1`,
    values: [practiceId, userId, scope.type === 'client' ? scope.clientId : null],
  });
  if (hidden !== undefined)
    problem({ code: 'refused', refusal: { code: 'restrictedAccount', accountId: hidden.id } });
};

const send = (
  pool: pg.Pool,
  response: Response,
  { scope, name }: { readonly scope: BackupScope; readonly name: string },
): Promise<void> =>
  inTransactionOn(pool, async (transaction) => {
    await transaction.query('SET TRANSACTION ISOLATION LEVEL REPEATABLE READ READ ONLY');
    await refuseHidden(transaction, viewerOf(response), scope);
    response.attachment(`${name}.backup.gz`).type('application/gzip');
    await pipeline(Readable.from(backupLines(transaction, scope)), createGzip(), response);
  });

/** Taking everything of a practice, or of one client, away in one file. */
export const backupRoutes = (pool: pg.Pool): Router => {
  const router = Router();
  router.get('/backup', async (_request, response) => {
    const { practiceId } = viewerOf(response);
    await send(pool, response, { scope: { type: 'practice', practiceId }, name: 'Practice' });
  });
  router.get('/clients/:clientId/backup', async (request, response) => {
    const viewer = viewerOf(response);
    const client = await clientOf(pool, viewer, idIn(request, 'clientId'));
    const { practiceId } = viewer;
    const scope: BackupScope = { type: 'client', practiceId, clientId: client.id };
    await send(pool, response, { scope, name: client.name });
  });
  return router;
};
