import { createHash, createHmac } from 'node:crypto';
import { change, many } from '../database/query';
import type { Transaction } from '../database/transaction';
import { BACKUP_TABLES, rowsOfTable, type BackupScope } from './backup-tables';

/** The first line of a backup. */
export interface BackupHead {
  readonly format: 'iunctus-backup';
  readonly version: 2;
  readonly scope: BackupScope['type'];
  /** The last migration of the database that was backed up. */
  readonly migration: string;
}

/** The last line: by it a file that was cut short or changed is known, and one that another installation made. */
export interface BackupFoot {
  readonly rows: number;
  readonly sha256: string;
  readonly signature: string;
}

/** What only an installation with the same secret can write under a digest. */
export const signatureOf = (sha256: string, secret: string): string =>
  createHmac('sha256', secret).update(`backup ${sha256}`).digest('hex');

/** What a backup holds, whether passwords come along, and by which secret it is signed. */
export interface BackupRequest {
  readonly scope: BackupScope;
  readonly passwords: boolean;
  readonly secret: string;
}

/** Rows that are read at once. */
const AT_ONCE = 2000;

const lastMigration = async (on: Transaction): Promise<string> => {
  const rows = await many<{ name: string }>(on, {
    text: 'SELECT name FROM schema_migration ORDER BY name DESC LIMIT 1',
  });
  return rows[0]?.name ?? '';
};

/** The rows of one query, some at a time, so that a large table does not have to be held whole. */
async function* someAtATime(
  on: Transaction,
  sql: { readonly text: string; readonly values: readonly string[] },
): AsyncGenerator<readonly string[]> {
  await change(on, {
    text: `DECLARE backup_rows NO SCROLL CURSOR FOR ${sql.text}`,
    values: sql.values,
  });
  for (;;) {
    const rows = await many<{ row: string }>(on, {
      text: `FETCH ${AT_ONCE} FROM backup_rows`,
    });
    if (rows.length === 0) break;
    yield rows.map(({ row }) => row);
  }
  await change(on, { text: 'CLOSE backup_rows' });
}

/**
 * A backup as lines of text: a head, a line for each row (its table, a tab, the row as JSON), and a foot
 * with the signed digest of all before. Runs on one snapshot: `on` is a transaction of repeatable reads.
 */
export async function* backupLines(
  on: Transaction,
  { scope, passwords, secret }: BackupRequest,
): AsyncGenerator<string> {
  const digest = createHash('sha256');
  let rows = 0;
  const told = (line: string): string => {
    digest.update(line);
    return line;
  };
  const head: BackupHead = {
    format: 'iunctus-backup',
    version: 2,
    scope: scope.type,
    migration: await lastMigration(on),
  };
  yield told(`${JSON.stringify(head)}\n`);
  for (const table of BACKUP_TABLES)
    for await (const some of someAtATime(on, rowsOfTable(table, scope, passwords))) {
      rows += some.length;
      yield told(some.map((row) => `${table.name}\t${row}\n`).join(''));
    }
  const sha256 = digest.digest('hex');
  const foot: BackupFoot = { rows, sha256, signature: signatureOf(sha256, secret) };
  yield `${JSON.stringify(foot)}\n`;
}
