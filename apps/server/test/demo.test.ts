import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { migrate } from '../src/database/migrate';
import { freshDatabase, MAREN, PASSWORD, TOBIAS, withDemo } from './harness';

const count = async (pool: Awaited<ReturnType<typeof freshDatabase>>, table: string) =>
  Number((await pool.query(`SELECT count(*) FROM ${table}`)).rows[0].count);

describe('the demo practice', () => {
  it('is loaded into an empty database, and says how to sign in', async () => {
    const pool = await freshDatabase();
    expect(await withDemo(pool)).toEqual({ emails: [MAREN, TOBIAS], password: PASSWORD });
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
