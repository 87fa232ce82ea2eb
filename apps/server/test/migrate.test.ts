import { cp, mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type pg from 'pg';
import { migrate, MigrationError } from '../src/database/migrate';
import { emptyDatabase, freshDatabase, MIGRATIONS, withDemo } from './harness';

describe('bringing a database forward', () => {
  let folder: string;
  let pool: pg.Pool;
  beforeEach(async () => {
    folder = await mkdtemp(join(tmpdir(), 'migrations-'));
    await cp(MIGRATIONS, folder, { recursive: true });
    pool = await freshDatabase();
  });
  afterEach(async () => {
    await pool.end();
    await rm(folder, { recursive: true });
  });
  const refusal = (): Promise<string> =>
    migrate(pool, folder).then(
      () => '',
      (error: Error) => (error instanceof MigrationError ? error.message : `other: ${error}`),
    );

  it('does nothing the second time', async () => {
    expect(await migrate(pool, MIGRATIONS)).toEqual([]);
  });

  it('is done once, whichever of several servers starts first', async () => {
    const empty = await emptyDatabase();
    const ran = await Promise.all([1, 2, 3].map(() => migrate(empty, MIGRATIONS)));
    expect(ran.map(({ length }) => length > 0).sort()).toEqual([false, false, true]);
    await empty.end();
  });

  it('refuses a database that a newer version brought forward', async () => {
    await pool.query(`INSERT INTO schema_migration (name) VALUES ('9999_later.sql')`);
    expect(await refusal()).toContain('newer version');
  });

  it('refuses to go on from a migration that is not the one that ran', async () => {
    await writeFile(join(folder, '0003_ledger.sql'), '-- another one');
    expect(await refusal()).toContain('0003_ledger.sql');
  });

  it('notes what ran before that was looked at', async () => {
    await pool.query('UPDATE schema_migration SET checksum = NULL');
    expect(await refusal()).toBe('');
    const { rows } = await pool.query(
      'SELECT count(*)::int AS none FROM schema_migration WHERE checksum IS NULL',
    );
    expect(rows).toEqual([{ none: 0 }]);
  });

  it('refuses a database in which a restore was not ended', async () => {
    await pool.query(`INSERT INTO schema_migration (name) VALUES ('restoring')`);
    expect(await refusal()).toContain('Restore it again');
  });

  it('leaves everything as it was when one of them fails', async () => {
    await writeFile(join(folder, '9998_wrong.sql'), 'CREATE TABLE made (x int); SELECT nothing;');
    expect(await refusal()).toContain('other:');
    const { rows } = await pool.query(`SELECT to_regclass('made') AS made`);
    expect(rows).toEqual([{ made: null }]);
  });

  it('keeps what people had: books, history and rights of a practice from before there were roles', async () => {
    const old = await emptyDatabase();
    await migrate(old, MIGRATIONS, { last: '0012_known_lists.sql' });
    await old.query(`
      INSERT INTO practice VALUES ('00000000-0000-4000-8000-000000000001', 'Old');
      INSERT INTO app_user VALUES ('00000000-0000-4000-8000-000000000002', '00000000-0000-4000-8000-000000000001', 'o@o.example', 'O', 'scrypt:x:y');
    `);
    await migrate(old, MIGRATIONS);
    const { rows } = await old.query('SELECT role, password_hash FROM app_user');
    expect(rows).toEqual([{ role: 'administrator', password_hash: 'scrypt:x:y' }]);
    await old.end();
    await withDemo(pool);
  });
});
