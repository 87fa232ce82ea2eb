import { createHash } from 'node:crypto';
import { readdir, readFile } from 'node:fs/promises';
import { join } from 'node:path';
import type pg from 'pg';
import { change, many } from './query';
import { inTransactionOn, type Transaction } from './transaction';

/** One at a time, whichever server starts first. */
const MIGRATION_LOCK = 817_263_541;

/** Why a database cannot be brought forward; it is left as it was. */
export class MigrationError extends Error {}

interface Migration {
  readonly name: string;
  readonly text: string;
  readonly checksum: string;
}

const readMigrations = async (folder: string): Promise<readonly Migration[]> => {
  const names = (await readdir(folder)).filter((file) => file.endsWith('.sql')).sort();
  return Promise.all(
    names.map(async (name) => {
      const text = await readFile(join(folder, name), 'utf8');
      return { name, text, checksum: createHash('sha256').update(text).digest('hex') };
    }),
  );
};

const prepare = async (transaction: Transaction): Promise<void> => {
  await transaction.query('SELECT pg_advisory_xact_lock($1)', [MIGRATION_LOCK]);
  await transaction.query(
    'CREATE TABLE IF NOT EXISTS schema_migration (name text PRIMARY KEY, ran_at timestamptz NOT NULL DEFAULT now())',
  );
  await transaction.query('ALTER TABLE schema_migration ADD COLUMN IF NOT EXISTS checksum text');
};

/** Stands among the migrations while a backup is restored, until all of it is checked. */
export const RESTORING = 'restoring';

/** Migrations that ran must be those of this version, to the letter; an older version ran none that are not known here. */
const refuseForeign = (
  ran: ReadonlyMap<string, string | null>,
  known: readonly Migration[],
): void => {
  const byName = new Map(known.map((migration) => [migration.name, migration]));
  for (const [name, checksum] of ran) {
    if (name === RESTORING)
      throw new MigrationError(
        'A backup was being restored here and was not checked to its end. Restore it again into an empty database.',
      );
    const own = byName.get(name);
    if (own === undefined)
      throw new MigrationError(
        `The database was brought forward by a newer version (${name}). Start that version, or restore a backup from before.`,
      );
    if (checksum !== null && checksum !== own.checksum)
      throw new MigrationError(
        `The migration ${name} is not the one that made this database. Restore the file as it was released.`,
      );
  }
};

/** Notes what ran before checksums were kept. */
const noteChecksums = async (on: Transaction, known: readonly Migration[]): Promise<void> => {
  for (const { name, checksum } of known)
    await change(on, {
      text: 'UPDATE schema_migration SET checksum = $2 WHERE name = $1 AND checksum IS NULL',
      values: [name, checksum],
    });
};

/** How far to bring a database forward, and whether a restore is under way. */
export interface MigrateOptions {
  readonly last?: string;
  readonly restoring?: boolean;
}

/**
 * Brings the database forward by the files of `folder`, in the order of their names, up to `last` where it is
 * named. Gives the names that ran. Throws `MigrationError` for a newer database, or one made by other files.
 */
export const migrate = async (
  pool: pg.Pool,
  folder: string,
  { last, restoring = false }: MigrateOptions = {},
): Promise<readonly string[]> => {
  const known = await readMigrations(folder);
  return inTransactionOn(pool, async (transaction) => {
    await prepare(transaction);
    const done = await many<{ name: string; checksum: string | null }>(transaction, {
      text: 'SELECT name, checksum FROM schema_migration',
    });
    const ran = new Map(
      done
        .filter(({ name }) => !(restoring && name === RESTORING))
        .map(({ name, checksum }) => [name, checksum]),
    );
    refuseForeign(ran, known);
    const pending = known.filter(({ name }) => !ran.has(name) && name <= (last ?? name));
    for (const { name, text, checksum } of pending) {
      await transaction.query(text);
      await change(transaction, {
        text: 'INSERT INTO schema_migration (name, checksum) VALUES ($1, $2)',
        values: [name, checksum],
      });
    }
    await noteChecksums(transaction, known);
    return pending.map(({ name }) => name);
  });
};
