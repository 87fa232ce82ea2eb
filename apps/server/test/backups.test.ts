import { createHash } from 'node:crypto';
import { Readable } from 'node:stream';
import { buffer } from 'node:stream/consumers';
import { gunzipSync, gzipSync } from 'node:zlib';
import type pg from 'pg';
import { BACKUP_TABLES } from '../src/backups/backup-tables';
import { restoreBackup, type RestoreRequest } from '../src/backups/restore-backup';
import {
  adoptSteps,
  aStep,
  benchChart,
  clientNamed,
  emptyDatabase,
  MAREN,
  MIGRATIONS,
  rename,
  SECRET,
  serve,
  serveDemo,
  type Caller,
  type Running,
} from './harness';

const REQUEST: RestoreRequest = {
  migrations: MIGRATIONS,
  password: null,
  secret: SECRET,
  foreign: false,
};

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
  let cookie: string;
  const opened: pg.Pool[] = [];
  beforeAll(async () => {
    server = await serveDemo();
    maren = await server.signedIn(MAREN);
    cookie = maren.cookie;
  });
  afterAll(async () => {
    for (const pool of opened) await pool.end();
    await server.stop();
  });

  const base = () => `${server.base}/api`;
  const taken = async (path: string): Promise<Buffer> => {
    const response = await fetch(`${base()}${path}`, { headers: { cookie } });
    expect(response.headers.get('content-type')).toContain('gzip');
    return buffer(Readable.fromWeb(response.body as never));
  };
  const restored = async (
    bytes: Uint8Array,
    change: Partial<RestoreRequest> = {},
  ): Promise<pg.Pool> => {
    const pool = await emptyDatabase();
    opened.push(pool);
    await restoreBackup(pool, Readable.from([bytes]), { ...REQUEST, ...change });
    return pool;
  };
  const refusal = (bytes: Uint8Array, change: Partial<RestoreRequest> = {}) =>
    restored(bytes, change).then(
      () => null,
      (error: Error) => error.message,
    );
  const changed = (bytes: Buffer, change: (text: string) => string): Buffer =>
    gzipSync(change(gunzipSync(bytes).toString()));

  it('of the practice restored into an empty database is the same to the last byte', async () => {
    const pool = await restored(await taken('/backup?passwords=yes'));
    const [before, after] = [await everyRow(server.pool), await everyRow(pool)];
    for (const { name } of BACKUP_TABLES) expect([name, after[name]]).toEqual([name, before[name]]);
    expect(after['entry_line']?.length).toBeGreaterThan(100);
  });

  it('goes on where it left off: people sign in, entries and revisions follow', async () => {
    const running = await serve(await restored(await taken('/backup?passwords=yes')));
    opened.splice(opened.indexOf(running.pool), 1);
    const again = await running.signedIn(MAREN);
    const { id } = await clientNamed(again, 'Tern Street Ceramics');
    const { body } = await again.ask<{ chart: { accounts: { id: string; number: string }[] } }>(
      'GET',
      `/clients/${id}/bench`,
    );
    const accountId = body.chart.accounts.find(({ number }) => number === '1000')?.id ?? '';
    const before = await benchChart(again, id);
    const steps = [aStep(rename(accountId, 'Till'))];
    const adopted = await adoptSteps(again, id, { baseRevision: before.revision, steps });
    expect(adopted.body).toMatchObject({ revision: before.revision + 1 });
    await running.stop();
  });

  it('of one client has its books alone, and no password', async () => {
    const { id } = await clientNamed(maren, 'Kestrel Lane Cider Works');
    const bytes = await taken(`/clients/${id}/backup`);
    expect(gunzipSync(bytes).toString()).not.toContain('Tern Street');
    expect(gunzipSync(bytes).toString()).not.toContain('scrypt');
    const pool = await restored(bytes, { password: 'a-new-password' });
    const { rows } = await pool.query('SELECT name FROM client');
    expect(rows).toEqual([{ name: 'Kestrel Lane Cider Works' }]);
    expect(await refusal(bytes, { password: 'short' })).toContain('at least ten characters');
  });

  it('bears no password unless that is asked for; people are then let in anew', async () => {
    const pool = await restored(await taken('/backup'));
    const { rows } = await pool.query('SELECT count(password_hash)::int AS hashes FROM app_user');
    expect(rows).toEqual([{ hashes: 0 }]);
  });

  describe('of which nobody knows who made it', () => {
    /** A backup whose rows were changed and whose digest fits them, as somebody without the secret can make it. */
    const forged = (bytes: Buffer, change: (text: string) => string): Buffer =>
      changed(bytes, (text) => {
        const lines = change(text).split('\n').slice(0, -2);
        const sha256 = createHash('sha256')
          .update(`${lines.join('\n')}\n`)
          .digest('hex');
        const foot = { rows: lines.length - 1, sha256, signature: 'f'.repeat(64) };
        return `${[...lines, JSON.stringify(foot)].join('\n')}\n`;
      });
    let bytes: Buffer;
    beforeAll(async () => {
      bytes = await taken('/backup?passwords=yes');
    });
    const foreign = (change: (text: string) => string) =>
      refusal(forged(bytes, change), { foreign: true });

    it('is refused, unless whoever restores it says that they trust it', async () => {
      expect(await refusal(forged(bytes, (text) => text))).toContain('Another installation');
      expect(await refusal(bytes, { secret: 'the secret of another installation' })).toContain(
        'Another installation',
      );
      expect(await foreign((text) => text)).toBeNull();
    });

    const swap = (from: RegExp, to: string) => (text: string) => {
      expect(text).toMatch(from);
      return text.replace(from, to);
    };

    it.each([
      [
        'amounts that do not balance',
        swap(/(\nentry_line\t.*"amount": )(-?\d+)/, '$1123456789'),
        'does not balance',
      ],
      [
        'totals that no posting comes to',
        swap(/(account_month_total\t.*"amount": )(-?\d+)/, '$1123456789'),
        'totals by month',
      ],
      [
        'a name that its history does not know',
        swap(/"name": "Orchard tours"/, '"name": "Forged"'),
        'history',
      ],
      ['a chart behind its revisions', swap(/("revision": )3/, '$199'), 'revisions have a gap'],
      ['a parent in a circle', (text: string) => circle(text), 'tree'],
      ['a table that there is not', swap(/\nentry\t/, '\npg_authid\t'), 'names a table'],
      ['a column that there is not', swap(/(\nclient\t\{)/, '$1"owner": "me", '), 'has a column'],
      [
        'a date that is none',
        swap(/"entry_date": "[\d-]+"/, '"entry_date": "infinity"'),
        'breaks a rule',
      ],
      ['a row that is no JSON', swap(/\nclient\t\{/, '\nclient\t{{'), 'cannot be read'],
      ['a newer version', swap(/"version":2/, '"version":3'), 'newer version'],
      ['a newer database', swap(/"migration":"\d{4}/, '"migration":"9999'), 'newer version'],
      [
        'no administrator',
        swap(/"role": "administrator"/, '"role": "bookkeeper"'),
        'no administrator',
      ],
    ])('is refused with %s', async (_what, change, words) => {
      expect(await foreign(change)).toContain(words);
    });

    /** Two headings, each under the other. */
    const circle = (text: string): string => {
      const rows = [...text.matchAll(/account\t(\{.*"role": "heading".*\})/g)].map(
        ([, row = '']) =>
          JSON.parse(row) as { id: string; chart_id: string; parent_id: string | null },
      );
      const [a] = rows;
      const b = rows.find(({ chart_id, id }) => chart_id === a?.chart_id && id !== a.id);
      if (a === undefined || b === undefined) throw new Error('no headings');
      const under = (own: string, parent: string) => (line: string) =>
        line.includes(`"id": "${own}"`) && line.startsWith('account\t')
          ? line
              .replace(/"parent_id": (null|"[^"]*")/, `"parent_id": "${parent}"`)
              .replace(/"position": \d+/, '"position": 99')
          : line;
      return text.split('\n').map(under(a.id, b.id)).map(under(b.id, a.id)).join('\n');
    };
  });

  it('that was changed, cut short, or is none is refused, and leaves nothing behind', async () => {
    const bytes = await taken('/backup?passwords=yes');
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
    await expect(restoreBackup(pool, cut, REQUEST)).rejects.toThrow();
    const { rows } = await pool.query('SELECT count(*)::int AS count FROM practice');
    expect(rows).toEqual([{ count: 0 }]);
  });

  it('is restored only where nothing is', async () => {
    const bytes = await taken('/backup?passwords=yes');
    const pool = await restored(bytes);
    const again = restoreBackup(pool, Readable.from([bytes]), REQUEST);
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
