import { createReadStream } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { RestoreError, restoreBackup } from './backups/restore-backup';
import { createPool } from './database/pool';

/** Restores the backup that is named first on the command line into the database at DATABASE_URL. */
const [file = ''] = process.argv.slice(2);
const pool = createPool(process.env['DATABASE_URL'] ?? '');
const migrations = join(dirname(fileURLToPath(import.meta.url)), '../migrations');
const password = process.env['PASSWORD'] ?? null;

try {
  await restoreBackup(pool, createReadStream(file), { migrations, password });
  process.stdout.write('Restored.\n');
} catch (error) {
  if (!(error instanceof RestoreError)) throw error;
  process.stderr.write(`${error.message}\n`);
  process.exitCode = 1;
} finally {
  await pool.end();
}
