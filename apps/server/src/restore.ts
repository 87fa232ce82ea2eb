import { createReadStream } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { RestoreError, restoreBackup } from './backups/restore-backup';
import { storyOf } from './problems/errors';
import { createPool } from './database/pool';

/** Restores the backup that is named first on the command line into the database at DATABASE_URL. */
const [file = ''] = process.argv.slice(2);
const { DATABASE_URL = '', SECRET = '', PASSWORD, FOREIGN } = process.env;
const pool = createPool(DATABASE_URL);
const migrations = join(dirname(fileURLToPath(import.meta.url)), '../migrations');

try {
  await restoreBackup(pool, createReadStream(file), {
    migrations,
    password: PASSWORD ?? null,
    secret: SECRET,
    foreign: FOREIGN === 'yes',
  });
  process.stdout.write('Restored, and checked by every rule.\n');
  if (PASSWORD === undefined)
    process.stdout.write(
      'People whose backup bore no password set theirs anew: bin/administrator lets one in, who lets in the others.\n',
    );
} catch (error) {
  const words =
    error instanceof RestoreError
      ? error.message
      : `It could not be restored: ${storyOf(error).split('\n')[0] ?? ''}`;
  process.stderr.write(`${words}\n`);
  process.exitCode = 1;
} finally {
  await pool.end();
}
