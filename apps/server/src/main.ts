import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import type { AddressInfo } from 'node:net';
import { createApp } from './app';
import { createPool } from './database/pool';
import { migrate } from './database/migrate';
import { loadDemo } from './demo/load-demo';

const here = dirname(fileURLToPath(import.meta.url));
const say = (line: string): void => void process.stdout.write(`${line}\n`);

const setting = (name: string): string => {
  const value = process.env[name];
  if (value === undefined || value === '') throw new Error(`${name} is not set`);
  return value;
};

const pool = createPool(setting('DATABASE_URL'), say);
await migrate(pool, join(here, '../migrations'));
const demo = await loadDemo(pool, {
  folder: join(here, '../../../demo'),
  fresh: process.argv.includes('--fresh'),
});

const app = createApp({ pool, web: join(here, '../../web/dist'), log: say });
const server = app.listen(Number(process.env['PORT'] ?? 0), '127.0.0.1', () => {
  const { port } = server.address() as AddressInfo;
  say(`Iunctus is at http://127.0.0.1:${port}`);
  if (demo !== undefined) say(`Sign in as ${demo.emails.join(' or ')}, password ${demo.password}`);
});

const stop = (): void => {
  server.close();
  server.closeAllConnections();
  void pool.end().then(() => process.exit(0));
};
process.once('SIGINT', stop);
process.once('SIGTERM', stop);
