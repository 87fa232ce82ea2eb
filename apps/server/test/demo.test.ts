import { randomUUID } from 'node:crypto';
import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { migrate } from '../src/database/migrate';
import {
  adoptAs,
  benchChart,
  clientNamed,
  freshDatabase,
  idOf,
  MAREN,
  PASSWORD,
  serveDemo,
  TOBIAS,
  withDemo,
} from './harness';

const count = async (pool: Awaited<ReturnType<typeof freshDatabase>>, table: string) =>
  Number((await pool.query(`SELECT count(*) FROM ${table}`)).rows[0].count);

describe('the demo practice', () => {
  it('is loaded into an empty database, and says how to sign in', async () => {
    const pool = await freshDatabase();
    expect(await withDemo(pool)).toEqual({
      people: [
        { name: 'Maren Oake', email: MAREN, role: 'administrator' },
        { name: 'Tobias Fenn', email: TOBIAS, role: 'bookkeeper' },
      ],
      password: PASSWORD,
    });
    expect(await count(pool, 'client')).toBe(3);
    await pool.end();
  });

  it('is left as it is at a second start', async () => {
    const pool = await freshDatabase();
    await withDemo(pool);
    await pool.query(`UPDATE client SET name = 'Renamed' WHERE name = 'Tern Street Ceramics'`);
    await withDemo(pool);
    expect(await count(pool, `client WHERE name = 'Renamed'`)).toBe(1);
    await pool.end();
  });

  it('is loaded anew when asked for, and leaves other practices alone', async () => {
    const pool = await freshDatabase();
    await withDemo(pool);
    const entries = await count(pool, 'entry');
    await pool.query(
      `INSERT INTO practice (id, name) VALUES (gen_random_uuid(), 'Another practice')`,
    );
    await pool.query(`UPDATE client SET name = 'Renamed' WHERE name = 'Tern Street Ceramics'`);
    await withDemo(pool, true);
    expect(await count(pool, `client WHERE name = 'Renamed'`)).toBe(0);
    expect(await count(pool, 'entry')).toBe(entries);
    expect(await count(pool, `practice WHERE name = 'Another practice'`)).toBe(1);
    await pool.end();
  });

  it('is loaded anew whatever was done meanwhile: people, lists, kept charts, splits, restricted accounts', async () => {
    const server = await serveDemo();
    const maren = await server.signedIn(MAREN);
    const { id } = await clientNamed(maren, 'Kestrel Lane Cider Works');
    const list = { clientId: id, headings: ['Code'], uses: ['number'], types: {} };
    expect((await maren.ask('PUT', '/known-lists', list)).status).toBe(200);
    const kept = { keptChartId: null, name: 'Drinks', note: '' };
    expect((await maren.ask('POST', `/clients/${id}/kept-chart`, kept)).status).toBe(200);
    const onlooker = { name: 'O', email: 'o@o.example', role: 'onlooker', clientId: id };
    expect((await maren.ask('POST', '/staff', onlooker)).status).toBe(200);
    const chart = await benchChart(maren, id);
    const [own] = (await maren.ask<{ id: string }[]>('GET', '/people')).body;
    const secret = randomUUID();
    const account = {
      id: secret,
      number: '6999',
      name: 'Secret',
      shortLabel: '',
      guidance: '',
      notes: '',
      role: 'posting',
      kind: 'operatingExpense',
      retiredOn: null,
      systemUse: null,
      settings: { restrictedTo: [own?.id ?? ''] },
    } as const;
    await adoptAs(maren, id, { type: 'addAccount', account, parentId: null, afterId: null });
    await adoptAs(maren, id, { type: 'deleteAccount', id: secret });
    const choice = { first: null, last: null, sources: [], words: '', value: null, upTo: 99_999 };
    const split = {
      id: randomUUID(),
      from: idOf(chart, '6210'),
      into: idOf(chart, '6220'),
      choice,
    };
    expect((await adoptAs(maren, id, { type: 'split', split })).status).toBe(200);
    await withDemo(server.pool, true);
    expect(await count(server.pool, 'known_list')).toBe(0);
    expect(await count(server.pool, 'app_user')).toBe(2);
    expect((await server.signedIn(MAREN)).cookie).not.toBe('');
    await server.stop();
  });

  it('is not forced on a database that holds another practice', async () => {
    const pool = await freshDatabase();
    await pool.query(
      `INSERT INTO practice (id, name) VALUES (gen_random_uuid(), 'Another practice')`,
    );
    expect(await withDemo(pool)).toBeUndefined();
    await pool.end();
  });
});

describe('the pool', () => {
  it('outlives a connection that the database closes', async () => {
    const pool = await freshDatabase();
    const [before] = (await pool.query('SELECT pg_backend_pid() AS pid')).rows;
    const other = await freshDatabase();
    const closed = new Promise((resolve) => pool.once('error', resolve));
    await other.query('SELECT pg_terminate_backend($1)', [before.pid]);
    await closed;
    const [after] = (await pool.query('SELECT pg_backend_pid() AS pid')).rows;
    expect(after.pid).not.toBe(before.pid);
    await Promise.all([pool.end(), other.end()]);
  });
});

describe('migrations', () => {
  it('run once', async () => {
    const pool = await freshDatabase();
    expect(await migrate(pool, join(__dirname, '../migrations'))).toEqual([]);
    await pool.end();
  });

  it('run once when two servers start together', async () => {
    const pool = await freshDatabase();
    await pool.query('DROP SCHEMA public CASCADE');
    await pool.query('CREATE SCHEMA public');
    const folder = join(__dirname, '../migrations');
    const ran = await Promise.all([migrate(pool, folder), migrate(pool, folder)]);
    const files = readdirSync(folder).length;
    expect(ran.map((names) => names.length).sort()).toEqual([0, files]);
    await pool.end();
  });
});
