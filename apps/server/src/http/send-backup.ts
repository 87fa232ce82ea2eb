import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { createGzip } from 'node:zlib';
import { BackupQuery } from '@iunctus/contract';
import type { Request, Response } from 'express';
import type pg from 'pg';
import type { Viewer } from '../access/viewer';
import { clientOf } from '../clients/clients.service';
import { many } from '../database/query';
import { onSnapshotOf, type Transaction } from '../database/transaction';
import type { StreamedEndpoint } from '../endpoints/call';
import { idIn, read } from '../problems/read-request';
import { paramsOf } from './params';
import { problem } from '../problems/problem';
import type { BackupScope } from '../backups/backup-tables';
import { backupLines } from '../backups/write-backup';

/** Refuses somebody from whom an account is hidden, or was when it went: a backup would show it. */
const refuseHidden = async (
  on: Transaction,
  { userId, practiceId }: Viewer,
  clientId: string | null,
): Promise<void> => {
  const [hidden] = await many<{ id: string }>(on, {
    text: `
      SELECT account.id FROM account JOIN chart ON chart.id = account.chart_id
      WHERE chart.practice_id = $1 AND ($3::uuid IS NULL OR chart.client_id = $3)
        AND account.settings ? 'restrictedTo' AND NOT account.settings -> 'restrictedTo' ? $2
      UNION ALL
      SELECT gone.account_id FROM account_veil AS gone JOIN chart ON chart.id = gone.chart_id
      WHERE chart.practice_id = $1 AND ($3::uuid IS NULL OR chart.client_id = $3)
        AND EXISTS (SELECT 1 FROM jsonb_array_elements(gone.seen_by) AS users WHERE NOT users ? $2)
      LIMIT 1`,
    values: [practiceId, userId, clientId],
  });
  if (hidden !== undefined)
    problem({ code: 'refused', refusal: { code: 'restrictedAccount', accountId: '' } });
};

/** What sending a backup takes: long statements, and the secret by which it is known again as one's own. */
export interface BackupTools {
  readonly pool: pg.Pool;
  readonly secret: string;
}

/** What is to be backed up, and what the file is called. */
interface AskedBackup {
  readonly scope: BackupScope;
  readonly name: string;
  readonly passwords: boolean;
}

const askedBackup = async (
  { pool }: BackupTools,
  name: StreamedEndpoint,
  { request, viewer }: { readonly request: Request; readonly viewer: Viewer },
): Promise<AskedBackup> => {
  const { practiceId } = viewer;
  if (name === 'backUpPractice') {
    const { passwords } = read(BackupQuery, request.query);
    return {
      scope: { type: 'practice', practiceId },
      name: 'Practice',
      passwords: passwords === 'yes',
    };
  }
  const client = await clientOf(pool, viewer, idIn(paramsOf(request), 'clientId'));
  const scope: BackupScope = { type: 'client', practiceId, clientId: client.id };
  return { scope, name: client.name, passwords: false };
};

/** Sends everything of a practice, or of one client, as it is read, on one snapshot. */
export const sendBackup = async (
  tools: BackupTools,
  endpoint: StreamedEndpoint,
  call: { readonly request: Request; readonly response: Response; readonly viewer: Viewer },
): Promise<void> => {
  const { scope, name, passwords } = await askedBackup(tools, endpoint, call);
  await onSnapshotOf(tools.pool, async (on) => {
    await refuseHidden(on, call.viewer, scope.type === 'client' ? scope.clientId : null);
    call.response.attachment(`${name}.backup.gz`).type('application/gzip');
    const lines = backupLines(on, { scope, passwords, secret: tools.secret });
    await pipeline(Readable.from(lines), createGzip(), call.response);
  });
};
