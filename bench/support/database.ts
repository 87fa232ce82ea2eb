import { randomUUID } from 'node:crypto';
import { join } from 'node:path';
import type { AccountRecord } from '@iunctus/core';
import { chartFrom, emptyChart, USUAL_SETTINGS } from '@iunctus/core';
import pg from 'pg';
import { hashPassword } from '../../apps/server/src/access/passwords';
import { storeChart } from '../../apps/server/src/charts/chart-store';
import {
  insertChart,
  maybeChartLocked,
  type ChartHead,
} from '../../apps/server/src/charts/charts.queries';
import { insertClient } from '../../apps/server/src/clients/clients.queries';
import { createPool } from '../../apps/server/src/database/pool';
import { migrate } from '../../apps/server/src/database/migrate';
import type { Viewer } from '../../apps/server/src/access/viewer';
import { inTransactionOn } from '../../apps/server/src/database/transaction';
import { insertPractice, insertUser } from '../../apps/server/src/demo/demo.queries';

export const EMAIL = 'bench@quillrow.example';
export const PASSWORD = 'bench-and-bench';

/** A database for one benchmark, with one practice and one user. */
export interface BenchDatabase {
  readonly url: string;
  readonly pool: pg.Pool;
  readonly viewer: Viewer;
}

export const openDatabase = async (): Promise<BenchDatabase> => {
  const server = process.env['BENCH_DATABASE_URL'] ?? '';
  const name = `bench_${randomUUID().replaceAll('-', '')}`;
  const admin = new pg.Client({ connectionString: server });
  await admin.connect();
  await admin.query(`CREATE DATABASE ${name}`);
  await admin.end();
  const url = server.replace(/\/postgres$/, `/${name}`);
  const pool = createPool(url);
  await migrate(pool, join(process.cwd(), 'apps/server/migrations'));
  const viewer: Viewer = {
    userId: randomUUID(),
    practiceId: randomUUID(),
    role: 'administrator',
    clientId: null,
  };
  await inTransactionOn(pool, async (transaction) => {
    await insertPractice(transaction, { id: viewer.practiceId, name: 'Bench' });
    const passwordHash = await hashPassword(PASSWORD);
    await insertUser(transaction, {
      id: viewer.userId,
      practiceId: viewer.practiceId,
      email: EMAIL,
      name: 'Ben Ch',
      role: 'administrator',
      passwordHash,
    });
  });
  return { url, pool, viewer };
};

/** Adds a client with a chart of the given accounts. */
export const addChart = (
  { pool, viewer }: BenchDatabase,
  name: string,
  records: readonly AccountRecord[],
): Promise<{ clientId: string; head: ChartHead }> =>
  inTransactionOn(pool, async (transaction) => {
    const clientId = randomUUID();
    const { practiceId } = viewer;
    const details = {
      name,
      legalForm: 'corporation',
      industry: null,
      country: 'US',
      currency: 'USD',
      fiscalYearStart: 1,
    } as const;
    await insertClient(transaction, { ...details, id: clientId, practiceId });
    await insertChart(transaction, {
      id: randomUUID(),
      practiceId,
      clientId,
      settings: USUAL_SETTINGS,
    });
    const head = await maybeChartLocked(transaction, viewer, clientId);
    if (head === undefined) throw new Error('no chart');
    await storeChart(transaction, head, {
      before: emptyChart(),
      after: chartFrom(records),
    });
    return { clientId, head };
  });
