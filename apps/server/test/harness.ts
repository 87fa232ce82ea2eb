import { randomUUID } from 'node:crypto';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { join } from 'node:path';
import type { BenchAnswer, BenchChart, ClientAnswer } from '@iunctus/contract';
import type { Operation, PersonRole, ProposalStep } from '@iunctus/core';
import pg from 'pg';
import { pino } from 'pino';
import { createApp, type AppParts } from '../src/app';
import { applicationUrl } from '../src/database/application-role';
import { servingLimits } from '../src/database/pool';
import { lanesHere } from '../src/lanes/here';
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

const urlOf = (name: string): string => serverUrl().replace(/\/postgres$/, `/${name}`);
const poolOn = (name: string): pg.Pool => createPool(urlOf(name));

/** What this installation signs with in tests. */
export const SECRET = 'a secret that is long enough for tests';

/** The address at which the application connects to the database of an owner's pool: not as the owner. */
export const applicationUrlOf = (owner: pg.Pool): Promise<string> =>
  applicationUrl(owner, { ownerUrl: String(owner.options.connectionString), secret: SECRET });

/** A pool as the application has it. */
export const applicationPool = async (owner: pg.Pool): Promise<pg.Pool> =>
  createPool(await applicationUrlOf(owner), () => undefined, servingLimits(6, 30));

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
  readonly cookie: string;
  ask<T = unknown>(method: string, path: string, body?: unknown): Promise<Answer<T>>;
}

/** The running server; its pool is the owner's, for looking behind it. */
export interface Running {
  readonly pool: pg.Pool;
  readonly base: string;
  readonly logged: string[];
  anybody(): Caller;
  signedIn(email: string): Promise<Caller>;
  stop(): Promise<void>;
}

const callerAt = (base: string, cookie = ''): Caller => ({
  cookie,
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

const partsOn = (pool: pg.Pool, logged: string[]): AppParts => ({
  pool,
  patientPool: pool,
  lanes: lanesHere(pool),
  log: pino({ level: 'warn' }, { write: (line) => void logged.push(line) }),
  edge: { publicAddress: null },
  trustedProxy: false,
  sessions: { hours: 12, idleMinutes: 180 },
  secret: SECRET,
  demo: null,
});

/** Serves a database on a free port, as the application's own role. `change` lays some part otherwise. */
export const serve = async (owner: pg.Pool, change: Partial<AppParts> = {}): Promise<Running> => {
  const logged: string[] = [];
  const pool = await applicationPool(owner);
  const app = createApp({ ...partsOn(pool, logged), ...change });
  const server = await new Promise<Server>((resolve) => {
    const listening = app.listen(0, '127.0.0.1', () => resolve(listening));
  });
  const base = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  return {
    pool: owner,
    base,
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
      await owner.end();
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

/** What somebody proposes, on a revision. */
export interface Proposed {
  readonly baseRevision: number;
  readonly steps: readonly ProposalStep[];
  readonly name?: string;
  readonly comment?: string;
}

/** Keeps a proposal over whatever its author had. Gives its version. */
export const keepProposal = async (
  who: Caller,
  clientId: string,
  { name = '', comment = '', ...proposed }: Proposed,
): Promise<Answer<{ version: number }>> => {
  const { version } = (await benchChart(who, clientId)).proposal;
  const request = { version, conflicts: [], name, comment, ...proposed };
  return who.ask('PUT', `/clients/${clientId}/proposal`, request);
};

/** Keeps a proposal and adopts it as it was kept. */
export const adoptSteps = async <T = { refusal?: { code: string } }>(
  who: Caller,
  clientId: string,
  proposed: Proposed,
): Promise<Answer<T>> => {
  const kept = await keepProposal(who, clientId, proposed);
  if (kept.status !== 200) return kept as unknown as Answer<T>;
  const { version } = kept.body;
  return who.ask<T>('POST', `/clients/${clientId}/revisions`, { version });
};

/** Adopts operations as one step on the newest revision. */
export const adoptAs = async (who: Caller, clientId: string, ...operations: Operation[]) => {
  const { revision: baseRevision } = await benchChart(who, clientId);
  return adoptSteps(who, clientId, { baseRevision, steps: [aStep(...operations)] });
};

/** Lets somebody of another role into the demo's practice. */
export const somebodyIn = async (
  server: Running,
  role: PersonRole,
  clientId: string | null = null,
): Promise<Caller> => {
  const email = `${role}-${randomUUID().slice(0, 8)}@quillrow.example`;
  await server.pool.query(
    `INSERT INTO app_user (id, practice_id, email, name, role, client_id, password_hash)
     SELECT gen_random_uuid(), practice_id, $1, $2, $3, $4, password_hash
     FROM app_user WHERE email = $5`,
    [email, `Some ${role}`, role, clientId, MAREN],
  );
  return server.signedIn(email);
};

/** Which rule of the database something breaks; `nothing` where it is taken. All of it is rolled back but what is taken. */
export const brokenRule = async (
  pool: pg.Pool,
  text: string,
  values: readonly unknown[] = [],
): Promise<string> => {
  const connection = await pool.connect();
  try {
    await connection.query('BEGIN');
    await connection.query(text, [...values]);
    await connection.query('COMMIT');
    return 'nothing';
  } catch (error) {
    const { constraint, message } = error as { constraint?: string; message: string };
    return constraint ?? message;
  } finally {
    await connection.query('ROLLBACK').catch(() => undefined);
    connection.release();
  }
};
