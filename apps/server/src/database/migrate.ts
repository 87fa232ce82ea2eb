import { readdir, readFile } from 'node:fs/promises';
import { join } from 'node:path';
import type pg from 'pg';
import { change, many } from './query';
import { inTransactionOn } from './transaction';

/** One at a time, whichever server starts first. */
const MIGRATION_LOCK = 817_263_541;

/**
 * Brings the database forward by the files of `folder`, in the order of their names, up to `last` where it is
 * named. Gives the names that ran.
 */
export const migrate = (pool: pg.Pool, folder: string, last?: string): Promise<readonly string[]> =>
  inTransactionOn(pool, async (transaction) => {
    await transaction.query('SELECT pg_advisory_xact_lock($1)', [MIGRATION_LOCK]);
    await transaction.query(
      'CREATE TABLE IF NOT EXISTS schema_migration (name text PRIMARY KEY, ran_at timestamptz NOT NULL DEFAULT now())',
    );
    const done = await many<{ name: string }>(transaction, {
      text: 'SELECT name FROM schema_migration',
    });
    const ran = new Set(done.map(({ name }) => name));
    const files = (await readdir(folder)).filter((file) => file.endsWith('.sql')).sort();
    const pending = files.filter((file) => !ran.has(file) && file <= (last ?? file));
    for (const name of pending) {
      await transaction.query(await readFile(join(folder, name), 'utf8'));
      await change(transaction, {
        text: 'INSERT INTO schema_migration (name) VALUES ($1)',
        values: [name],
      });
    }
    return pending;
  });
