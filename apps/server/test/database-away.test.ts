import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import pg from 'pg';
import { migrate } from '../src/database/migrate';
import { createPool, servingLimits } from '../src/database/pool';
import { inTransactionOn } from '../src/database/transaction';
import {
  applicationUrlOf,
  aStep,
  benchChart,
  clientNamed,
  idOf,
  keepProposal,
  MAREN,
  MIGRATIONS,
  rename,
  serve,
  withDemo,
  type Caller,
  type Running,
} from './harness';

const SCRIPT = join(__dirname, '../../../bin/postgres');
const postgres = (...words: string[]): string =>
  execFileSync(SCRIPT, words, { encoding: 'utf8' }).trim();

/** A PostgreSQL of this test's own, that may be killed. */
describe('when the database goes away', () => {
  const url = (): string => postgres('start', 'away');
  let owner: pg.Pool;
  let server: Running;
  let maren: Caller;
  let clientId: string;
  beforeAll(async () => {
    const admin = new pg.Client({ connectionString: url() });
    await admin.connect();
    await admin.query('DROP DATABASE IF EXISTS practice WITH (FORCE)');
    await admin.query('CREATE DATABASE practice');
    await admin.end();
    owner = createPool(url().replace(/\/postgres$/, '/practice'));
    owner.on('error', () => undefined);
    await migrate(owner, MIGRATIONS);
    await withDemo(owner);
    server = await serve(owner);
    maren = await server.signedIn(MAREN);
    clientId = (await clientNamed(maren, 'Tern Street Ceramics')).id;
  });
  afterAll(async () => {
    await server.stop();
    postgres('stop', 'away');
  });

  /** The process of the database's postmaster. */
  const postmaster = async (): Promise<number> => {
    const { rows } = await owner.query(`SELECT current_setting('data_directory') AS folder`);
    return Number(readFileSync(join(rows[0].folder, 'postmaster.pid'), 'utf8').split('\n')[0]);
  };
  const port = (): string => new URL(String(owner.options.connectionString)).port;
  /** Starts the database again where it was, as its keeper does. */
  const comeBack = async (): Promise<void> => {
    for (let tries = 0; tries < 20; tries += 1)
      try {
        execFileSync(SCRIPT, ['start', 'away'], {
          env: { ...process.env, POSTGRES_PORT: port() },
          stdio: 'ignore',
        });
        return;
      } catch {
        await new Promise((resolve) => setTimeout(resolve, 200));
      }
    throw new Error('the database does not come back');
  };
  /** Asks until it is served again; that must be within twenty seconds. */
  const served = async (): Promise<void> => {
    const began = Date.now();
    for (;;) {
      const { status } = await maren.ask('GET', '/clients');
      if (status === 200) return;
      expect(status).toBe(503);
      if (Date.now() - began > 20_000) throw new Error('not served again');
      await new Promise((resolve) => setTimeout(resolve, 100));
    }
  };

  it('says so with when to ask again, is not ready, and serves again by itself once it is back', async () => {
    process.kill(await postmaster(), 'SIGKILL');
    await new Promise((resolve) => setTimeout(resolve, 300));
    const answer = await maren.ask<{ code: string; seconds: number }>('GET', '/clients');
    expect([answer.status, answer.body.code]).toEqual([503, 'unavailable']);
    expect(answer.headers.get('retry-after')).toBe(String(answer.body.seconds));
    expect((await fetch(`${server.base}/ready`)).status).toBe(503);
    expect((await fetch(`${server.base}/health`)).status).toBe(200);
    await comeBack();
    await served();
    expect((await fetch(`${server.base}/ready`)).status).toBe(200);
  }, 60_000);

  it('goes on after connections are lost amid transactions, again and again', async () => {
    for (let round = 0; round < 10; round += 1) {
      const { revision, accounts } = await benchChart(maren, clientId);
      const steps = [aStep(rename(accounts[round]?.id ?? '', `Renamed ${round}`))];
      const { body } = await keepProposal(maren, clientId, { baseRevision: revision, steps });
      const adopting = maren.ask('POST', `/clients/${clientId}/revisions`, {
        version: body.version,
      });
      await owner.query(
        `SELECT pg_terminate_backend(pid) FROM pg_stat_activity WHERE usename LIKE 'iunctus_%'`,
      );
      const { status } = await adopting;
      expect([200, 503]).toContain(status);
      await served();
      const after = await benchChart(maren, clientId);
      expect(after.revision).toBe(status === 200 ? revision + 1 : after.revision);
      expect([revision, revision + 1]).toContain(after.revision);
    }
  }, 60_000);

  it('tells the cause of what failed, not that it could not be rolled back', async () => {
    const pool = createPool(await applicationUrlOf(owner), () => undefined, servingLimits(1, 5));
    const failed = inTransactionOn(pool, async (on) => {
      const { rows } = await on.query('SELECT pg_backend_pid() AS pid');
      await owner.query('SELECT pg_terminate_backend($1)', [rows[0].pid]);
      await new Promise((resolve) => setTimeout(resolve, 50));
      throw new Error('the cause');
    });
    await expect(failed).rejects.toThrow('the cause');
    expect((await pool.query('SELECT 1 AS one')).rows).toEqual([{ one: 1 }]);
    await pool.end();
  });

  it('gives up a statement, a lock and a connection that are waited for too long', async () => {
    const limits = { connections: 1, connect: 1, statement: 1, lock: 1 };
    const pool = createPool(await applicationUrlOf(owner), () => undefined, limits);
    await expect(pool.query('SELECT pg_sleep(5)')).rejects.toMatchObject({ code: '57014' });
    const holder = await owner.connect();
    await holder.query('BEGIN');
    await holder.query('SELECT 1 FROM chart FOR UPDATE');
    const waiting = inTransactionOn(pool, (on) => on.query('SELECT 1 FROM chart FOR UPDATE'));
    await expect(waiting).rejects.toMatchObject({ code: expect.stringMatching('55P03|57014') });
    await holder.query('ROLLBACK');
    holder.release();
    const busy = pool.query('SELECT pg_sleep(0.9)').catch(() => undefined);
    await expect(
      createPool(await applicationUrlOf(owner), () => undefined, {
        ...limits,
        connections: 1,
      }).query('SELECT 1'),
    ).resolves.toBeDefined();
    await busy;
    await pool.end();
  });

  it('answers within its limits also while the database is frozen, and goes on when it thaws', async () => {
    const pool = createPool(
      await applicationUrlOf(owner),
      () => undefined,
      servingLimits(3, 1), // a second, and five more until a frozen one is given up
    );
    const frozen = await serve(createPool(String(owner.options.connectionString)), { pool });
    const asker = await frozen.signedIn(MAREN);
    const pid = await postmaster();
    const all = (signal: 'STOP' | 'CONT') =>
      execFileSync('bash', ['-c', `kill -${signal} ${pid} $(pgrep -P ${pid}) 2>/dev/null || true`]);
    all('STOP');
    const answers = await Promise.all([1, 2, 3, 4, 5].map(() => asker.ask('GET', '/clients')));
    all('CONT');
    expect(answers.map(({ status }) => status)).toEqual([503, 503, 503, 503, 503]);
    const again = async (): Promise<number> => (await asker.ask('GET', '/clients')).status;
    let status = await again();
    for (let tries = 0; status !== 200 && tries < 50; tries += 1) status = await again();
    expect(status).toBe(200);
    await frozen.stop();
    await pool.end();
  }, 60_000);

  it('shows its chart as it was when all is over', async () => {
    const chart = await benchChart(maren, clientId);
    expect(idOf(chart, '5001')).toBeDefined();
  });
});
