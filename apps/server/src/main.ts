import { writeFile } from 'node:fs/promises';
import { createServer, type Server } from 'node:http';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import type { AddressInfo } from 'node:net';
import type pg from 'pg';
import { createApp } from './app';
import { ConfigError, readConfig, type Config } from './config/config';
import { applicationUrl, RoleError } from './database/application-role';
import { isAway } from './database/errors';
import { migrate, MigrationError } from './database/migrate';
import { createPool, PATIENT, servingLimits } from './database/pool';
import { loadDemo, type DemoSignIn } from './demo/load-demo';
import { createLog, type Log } from './http/logging';
import { lanesOfThreads } from './lanes/threads';

const here = dirname(fileURLToPath(import.meta.url));
const say = (line: string): void => void process.stdout.write(`${line}\n`);

/** How the process ends where it cannot serve. The README lists them beside those of the scripts. */
const EXIT = { config: 11, port: 14, migration: 16, database: 17 } as const;

/** Ends the process with one sentence that says why, and what can be done. */
const giveUp = (code: number, words: string): never => {
  process.stderr.write(`${words}\n`);
  process.exit(code);
};

const settings = (): Config => {
  try {
    return readConfig(process.env);
  } catch (error) {
    if (error instanceof ConfigError) return giveUp(EXIT.config, error.message);
    throw error;
  }
};

/** Brings the database forward, loads the demo where it is asked for, and gives the address for the application. */
const prepare = async (
  config: Config,
): Promise<{ readonly url: string; readonly demo: DemoSignIn | undefined }> => {
  const owner = createPool(config.DATABASE_URL);
  try {
    await migrate(owner, join(here, '../migrations'));
    const fresh = process.argv.includes('--fresh');
    const demo =
      config.DEMO || fresh
        ? await loadDemo(owner, { folder: join(here, '../../../demo'), fresh })
        : undefined;
    const { DATABASE_URL: ownerUrl, SECRET: secret, APPLICATION_DATABASE_URL: given } = config;
    const asked = { ownerUrl, secret, ...(given === undefined ? {} : { given }) };
    return { url: await applicationUrl(owner, asked), demo };
  } catch (error) {
    if (error instanceof MigrationError) return giveUp(EXIT.migration, error.message);
    if (error instanceof RoleError) return giveUp(EXIT.config, error.message);
    if (isAway(error))
      return giveUp(
        EXIT.database,
        'The database at DATABASE_URL cannot be reached. Is it running, and is the address right?',
      );
    throw error;
  } finally {
    await owner.end();
  }
};

const proxyOf = ({ TRUSTED_PROXY: given }: Config): string | number | false => {
  if (given === undefined) return false;
  return /^\d{1,2}$/.test(given) ? Number(given) : given;
};

/** Slow and idle connections are closed; nobody holds one for long. Milliseconds. */
const patient = (server: Server): void => {
  server.headersTimeout = 15_000;
  server.requestTimeout = 60_000;
  server.keepAliveTimeout = 10_000;
  server.timeout = 120_000;
};

const listen = (server: Server, { PORT, HOST }: Config): Promise<number> =>
  new Promise((resolve) => {
    server.once('error', (error: NodeJS.ErrnoException) => {
      if (error.code === 'EADDRINUSE')
        giveUp(
          EXIT.port,
          `Port ${PORT} is taken. Name another one with PORT=…, or none to have a free one.`,
        );
      giveUp(EXIT.port, `The server cannot listen at ${HOST}, port ${PORT}: ${error.message}.`);
    });
    server.listen(PORT, HOST, () => resolve((server.address() as AddressInfo).port));
  });

/** How long requests that are under way may take to end when the server is stopped. */
const LAST_SECONDS = 20;

const stopOn = (server: Server, stop: { begin(): void; end(): Promise<unknown> }): void => {
  let asked = false;
  const ask = (): void => {
    if (asked) return;
    asked = true;
    stop.begin();
    const late = setTimeout(() => server.closeAllConnections(), LAST_SECONDS * 1000);
    // Browsers keep connections open for what they may ask next.
    const sweep = setInterval(() => server.closeIdleConnections(), 200);
    server.close(() => {
      clearTimeout(late);
      clearInterval(sweep);
      void stop.end().finally(() => process.exit(0));
    });
  };
  process.on('SIGINT', ask);
  process.on('SIGTERM', ask);
};

interface Serving {
  readonly config: Config;
  readonly url: string;
  readonly log: Log;
  readonly demo: DemoSignIn | undefined;
}

const poolsOf = ({ config, url, log }: Serving): { pool: pg.Pool; patientPool: pg.Pool } => {
  const lost = (line: string): void => log.warn({ event: 'connectionLost', line });
  const limits = servingLimits(config.CONNECTIONS, config.STATEMENT_SECONDS);
  return {
    pool: createPool(url, lost, limits),
    patientPool: createPool(url, lost, { ...PATIENT, connections: 2 }),
  };
};

const serve = async (serving: Serving): Promise<number> => {
  const { config, url, log, demo } = serving;
  const { pool, patientPool } = poolsOf(serving);
  const lanes = lanesOfThreads({
    pool,
    worker: join(here, 'worker.js'),
    start: { databaseUrl: url, limits: servingLimits(2, config.STATEMENT_SECONDS) },
    threads: config.WORKERS,
    seconds: config.TASK_SECONDS,
  });
  let stopping = false;
  const app = createApp({
    pool,
    patientPool,
    lanes,
    log,
    edge: { publicAddress: config.PUBLIC_ADDRESS ?? null },
    trustedProxy: proxyOf(config),
    sessions: { hours: config.SESSION_HOURS, idleMinutes: config.SESSION_IDLE_MINUTES },
    secret: config.SECRET,
    demo: demo ?? null,
    web: join(here, '../../web/dist'),
    isStopping: () => stopping,
  });
  const server = createServer(app);
  patient(server);
  const port = await listen(server, config);
  stopOn(server, {
    begin: () => (stopping = true),
    end: () => Promise.all([lanes.close(), pool.end(), patientPool.end()]),
  });
  return port;
};

const config = settings();
const log = createLog({ level: config.LOG, file: config.LOG_FILE ?? null });
const { url, demo } = await prepare(config);
const port = await serve({ config, url, log, demo });
const address = config.PUBLIC_ADDRESS ?? `http://127.0.0.1:${port}`;
if (config.ADDRESS_FILE !== undefined) await writeFile(config.ADDRESS_FILE, address);
say(`Iunctus is at ${address}`);
if (demo !== undefined)
  say(
    `Sign in as ${demo.people.map(({ email }) => email).join(' or ')}, password ${demo.password}`,
  );
