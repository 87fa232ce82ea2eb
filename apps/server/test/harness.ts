import { randomUUID } from 'node:crypto';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { join } from 'node:path';
import type { BenchAnswer, BenchChart, ClientAnswer } from '@iunctus/contract';
import type { Operation, ProposalStep } from '@iunctus/core';
import pg from 'pg';
import { createApp } from '../src/app';
import { migrate } from '../src/database/migrate';
import { createPool } from '../src/database/pool';
import { loadDemo } from '../src/demo/load-demo';

const ROOT = join(__dirname, '..');
const DEMO = join(ROOT, '../../demo');

export const MAREN = 'maren@quillrow.example';
export const TOBIAS = 'tobias@quillrow.example';
export const PASSWORD = 'ledger-and-line';

const serverUrl = (): string => process.env['TEST_DATABASE_URL'] ?? '';

const createDatabase = async (template?: string): Promise<string> => {
  const name = `test_${randomUUID().replaceAll('-', '')}`;
  const admin = new pg.Client({ connectionString: serverUrl() });
  await admin.connect();
  await admin.query(
    `CREATE DATABASE ${name}${template === undefined ? '' : ` TEMPLATE ${template}`}`,
  );
  await admin.end();
  return name;
};

const poolOn = (name: string): pg.Pool =>
  createPool(serverUrl().replace(/\/postgres$/, `/${name}`));

/** A database of its own, migrated. */
export const freshDatabase = async (): Promise<pg.Pool> => {
  const pool = poolOn(await createDatabase());
  await migrate(pool, join(ROOT, 'migrations'));
  return pool;
};

/** A database of its own without anything in it, not even tables. */
export const emptyDatabase = async (): Promise<pg.Pool> => poolOn(await createDatabase());

/** Where the migrations are. */
export const MIGRATIONS = join(ROOT, 'migrations');

/** Loads the demo practice. */
export const withDemo = (pool: pg.Pool, fresh = false) => loadDemo(pool, { folder: DEMO, fresh });

/** An answer of the server. */
export interface Answer<T = unknown> {
  readonly status: number;
  readonly body: T;
  readonly headers: Headers;
}

/** Somebody who asks the server, with their cookie. */
export interface Caller {
  ask<T = unknown>(method: string, path: string, body?: unknown): Promise<Answer<T>>;
}

/** The running server. */
export interface Running {
  readonly pool: pg.Pool;
  readonly logged: string[];
  anybody(): Caller;
  signedIn(email: string): Promise<Caller>;
  stop(): Promise<void>;
}

const callerAt = (base: string, cookie = ''): Caller => ({
  async ask<T>(method: string, path: string, body?: unknown) {
    const response = await fetch(`${base}/api${path}`, {
      method,
      headers: { 'content-type': 'application/json', cookie },
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
    });
    return {
      status: response.status,
      body: (await response.json()) as T,
      headers: response.headers,
    };
  },
});

/** Serves a database on a free port. */
export const serve = async (pool: pg.Pool): Promise<Running> => {
  const logged: string[] = [];
  const app = createApp({ pool, log: (line) => logged.push(line) });
  const server = await new Promise<Server>((resolve) => {
    const listening = app.listen(0, '127.0.0.1', () => resolve(listening));
  });
  const base = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  return {
    pool,
    logged,
    anybody: () => callerAt(base),
    async signedIn(email) {
      const { headers } = await callerAt(base).ask('POST', '/sign-in', {
        email,
        password: PASSWORD,
      });
      return callerAt(base, (headers.get('set-cookie') ?? '').split(';')[0]);
    },
    async stop() {
      server.closeAllConnections();
      await new Promise((resolve) => server.close(resolve));
      await pool.end();
    },
  };
};

/** The demo is loaded once per test file; every server gets a copy of that database. */
let template: Promise<string> | undefined;

const demoTemplate = async (): Promise<string> => {
  const name = await createDatabase();
  const pool = poolOn(name);
  await migrate(pool, join(ROOT, 'migrations'));
  await withDemo(pool);
  await pool.end();
  return name;
};

/** A server with the demo practice, in a database of its own. */
export const serveDemo = async (): Promise<Running> => {
  template ??= demoTemplate();
  return serve(poolOn(await createDatabase(await template)));
};

/** The client of that name. */
export const clientNamed = async (caller: Caller, name: string): Promise<ClientAnswer> => {
  const { body } = await caller.ask<ClientAnswer[]>('GET', '/clients');
  const found = body.find((client) => client.name === name);
  if (found === undefined) throw new Error(`no client ${name}`);
  return found;
};

/** The chart on a client's bench. */
export const benchChart = async (caller: Caller, clientId: string): Promise<BenchChart> => {
  const { body } = await caller.ask<BenchAnswer>('GET', `/clients/${clientId}/bench`);
  if (body.chart === null) throw new Error('the client has no chart');
  return body.chart;
};

/** The id of the account with that number. */
export const idOf = (chart: BenchChart, number: string): string => {
  const found = chart.accounts.find((account) => account.number === number);
  if (found === undefined) throw new Error(`no account ${number}`);
  return found.id;
};

/** The name of the account with that number. */
export const nameOf = (chart: BenchChart, number: string): string | undefined =>
  chart.accounts.find((account) => account.number === number)?.name;

/** One step of the given operations. */
export const aStep = (...operations: Operation[]): ProposalStep => ({
  id: randomUUID(),
  operations,
});

/** Renames an account. */
export const rename = (id: string, value: string): Operation => ({
  type: 'editField',
  id,
  field: 'name',
  value,
});

/** Adopts operations as one step on the newest revision. */
export const adoptAs = async (who: Caller, clientId: string, ...operations: Operation[]) => {
  const { revision: baseRevision } = await benchChart(who, clientId);
  const request = { baseRevision, steps: [aStep(...operations)], note: '' };
  return who.ask<{ refusal?: { code: string } }>('POST', `/clients/${clientId}/revisions`, request);
};
