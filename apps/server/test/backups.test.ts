import { Readable } from 'node:stream';
import { buffer } from 'node:stream/consumers';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { gunzipSync, gzipSync } from 'node:zlib';
import type pg from 'pg';
import { createApp } from '../src/app';
import { BACKUP_TABLES } from '../src/backups/backup-tables';
import { restoreBackup } from '../src/backups/restore-backup';
import {
  clientNamed,
  emptyDatabase,
  MAREN,
  MIGRATIONS,
  PASSWORD,
  serve,
  serveDemo,
  type Caller,
  type Running,
} from './harness';

const everyRow = async (pool: pg.Pool): Promise<Readonly<Record<string, readonly string[]>>> => {
  const tables: Record<string, readonly string[]> = {};
  for (const { name, order } of BACKUP_TABLES) {
    const { rows } = await pool.query<{ row: string }>(
      `SELECT to_jsonb(one)::text AS row FROM ${name} AS one ORDER BY ${order}`,
    );
    tables[name] = rows.map(({ row }) => row);
  }
  return tables;
};

describe('a backup', () => {
  let server: Running;
  let maren: Caller;
  let files: ReturnType<typeof createServer>;
  let cookie: string;
  const opened: pg.Pool[] = [];
  beforeAll(async () => {
    server = await serveDemo();
    maren = await server.signedIn(MAREN);
    files = createServer(createApp({ pool: server.pool, log: () => undefined }));
    await new Promise<void>((resolve) => files.listen(0, '127.0.0.1', resolve));
    const signedIn = await fetch(`${base()}/sign-in`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ email: MAREN, password: PASSWORD }),
    });
    cookie = (signedIn.headers.get('set-cookie') ?? '').split(';')[0] ?? '';
  });
  afterAll(async () => {
    files.closeAllConnections();
    await new Promise((resolve) => files.close(resolve));
    for (const pool of opened) await pool.end();
    await server.stop();
  });

  const base = () => `http://127.0.0.1:${(files.address() as AddressInfo).port}/api`;
  const taken = async (path: string): Promise<Buffer> => {
    const response = await fetch(`${base()}${path}`, { headers: { cookie } });
    expect(response.headers.get('content-type')).toContain('gzip');
    return buffer(Readable.fromWeb(response.body as never));
  };
  const restored = async (bytes: Uint8Array, password: string | null = null): Promise<pg.Pool> => {
    const pool = await emptyDatabase();
    opened.push(pool);
    await restoreBackup(pool, Readable.from([bytes]), { migrations: MIGRATIONS, password });
    return pool;
  };
  const refusal = (bytes: Uint8Array, password: string | null = null) =>
    restored(bytes, password).then(
      () => null,
      (error: Error) => error.message,
    );
  const changed = (bytes: Buffer, change: (text: string) => string): Buffer =>
    gzipSync(change(gunzipSync(bytes).toString()));

  it('of the practice restored into an empty database is the same to the last byte', async () => {
    const pool = await restored(await taken('/backup'));
    const [before, after] = [await everyRow(server.pool), await everyRow(pool)];
    for (const { name } of BACKUP_TABLES) expect([name, after[name]]).toEqual([name, before[name]]);
    expect(after['entry_line']?.length).toBeGreaterThan(100);
  });

  it('goes on where it left off: people sign in, entries and revisions follow', async () => {
    const running = await serve(await restored(await taken('/backup')));
    opened.splice(opened.indexOf(running.pool), 1);
    const again = await running.signedIn(MAREN);
    const { id } = await clientNamed(again, 'Tern Street Ceramics');
    const { body } = await again.ask<{ chart: { accounts: { id: string; number: string }[] } }>(
      'GET',
      `/clients/${id}/bench`,
    );
    const accountId = body.chart.accounts.find(({ number }) => number === '1000')?.id;
    const request = { last: '2026-10', balances: [{ accountId, amount: 0 }] };
    expect(
      (await again.ask('POST', `/clients/${id}/opening-balances`, request)).status,
    ).toBeLessThan(500);
    await running.stop();
  });

  it('of one client has its books alone, and no password', async () => {
    const { id } = await clientNamed(maren, 'Kestrel Lane Cider Works');
    const bytes = await taken(`/clients/${id}/backup`);
    expect(gunzipSync(bytes).toString()).not.toContain('Tern Street');
    expect(gunzipSync(bytes).toString()).not.toContain('scrypt');
    expect(await refusal(bytes)).toContain('bears no passwords');
    const pool = await restored(bytes, 'a-new-password');
    const { rows } = await pool.query('SELECT name FROM client');
    expect(rows).toEqual([{ name: 'Kestrel Lane Cider Works' }]);
  });

  it('that was changed, cut short, or is none is refused, and leaves nothing behind', async () => {
    const bytes = await taken('/backup');
    expect(
      await refusal(changed(bytes, (text) => text.replace('Kestrel Lane', 'Kestrel Line'))),
    ).toContain('was changed');
    expect(
      await refusal(
        changed(bytes, (text) => text.slice(0, text.lastIndexOf('\n', text.length - 2) + 1)),
      ),
    ).toContain('cut short');
    expect(await refusal(bytes.subarray(0, bytes.length / 2))).not.toBeNull();
    expect(await refusal(gzipSync('hello\n'))).toContain('no backup');
    expect(await refusal(Buffer.from('hello'))).toContain('damaged');
    const pool = await emptyDatabase();
    opened.push(pool);
    const cut = Readable.from([changed(bytes, (text) => text.slice(0, text.length / 2))]);
    const request = { migrations: MIGRATIONS, password: null };
    await expect(restoreBackup(pool, cut, request)).rejects.toThrow();
    const { rows } = await pool.query('SELECT count(*)::int AS count FROM practice');
    expect(rows).toEqual([{ count: 0 }]);
  });

  it('is restored only where nothing is', async () => {
    const bytes = await taken('/backup');
    const pool = await restored(bytes);
    const again = restoreBackup(pool, Readable.from([bytes]), {
      migrations: MIGRATIONS,
      password: null,
    });
    await expect(again).rejects.toThrow('not empty');
  });

  it('is refused to somebody from whom accounts are hidden', async () => {
    await server.pool.query(
      `UPDATE account SET settings = settings || '{"restrictedTo": ["00000000-0000-4000-8000-000000000000"]}'
       WHERE id = (SELECT id FROM account WHERE role = 'posting' AND system_use IS NULL LIMIT 1)`,
    );
    const response = await fetch(`${base()}/backup`, { headers: { cookie } });
    expect([response.status, await response.text()]).toEqual([
      422,
      expect.stringContaining('restrictedAccount'),
    ]);
  });

  it('is nobody’s who is not signed in, or of another practice', async () => {
    expect((await fetch(`${base()}/backup`)).status).toBe(401);
    const elsewhere = '/clients/00000000-0000-4000-8000-000000000000/backup';
    expect((await fetch(`${base()}${elsewhere}`, { headers: { cookie } })).status).toBe(404);
  });
});
