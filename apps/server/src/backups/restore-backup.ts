import { createHash } from 'node:crypto';
import { createInterface } from 'node:readline';
import type { Readable } from 'node:stream';
import { createGunzip } from 'node:zlib';
import type pg from 'pg';
import * as v from 'valibot';
import { hashPassword } from '../access/passwords';
import { migrate } from '../database/migrate';
import { change, many } from '../database/query';
import { inTransactionOn, type Transaction } from '../database/transaction';
import { BACKUP_TABLES, COUNTED } from './backup-tables';

const Head = v.object({
  format: v.literal('iunctus-backup'),
  version: v.literal(1),
  scope: v.picklist(['practice', 'client']),
  migration: v.string(),
});
const Foot = v.object({ rows: v.number(), sha256: v.string() });

/** Why a backup cannot be restored; nothing of it is in the database then. */
export class RestoreError extends Error {}

const refuse = (words: string): never => {
  throw new RestoreError(words);
};

/** Rows that are written at once. */
const AT_ONCE = 1000;

const TABLE_NAMES = new Set(BACKUP_TABLES.map(({ name }) => name));

const parsed = <T>(schema: v.GenericSchema<unknown, T>, line: string): T | null => {
  try {
    const result = v.safeParse(schema, JSON.parse(line));
    return result.success ? result.output : null;
  } catch {
    return null;
  }
};

const insert = (on: Transaction, table: string, rows: readonly string[]): Promise<number> =>
  change(on, {
    text: `
      INSERT INTO ${table} OVERRIDING SYSTEM VALUE
      SELECT * FROM jsonb_populate_recordset(NULL::${table}, $1::jsonb)`,
    values: [`[${rows.join(',')}]`],
  });

/** The database's own rules ran when the rows were first written; totals come with the file. */
const withoutTriggers = async (on: Transaction, work: () => Promise<void>): Promise<void> => {
  for (const { name } of BACKUP_TABLES) await on.query(`ALTER TABLE ${name} DISABLE TRIGGER USER`);
  await work();
  await on.query('SET CONSTRAINTS ALL IMMEDIATE');
  for (const { name } of BACKUP_TABLES) await on.query(`ALTER TABLE ${name} ENABLE TRIGGER USER`);
};

const goOnCounting = async (on: Transaction): Promise<void> => {
  for (const { table, column } of COUNTED)
    await on.query(
      `SELECT setval(pg_get_serial_sequence('${table}', '${column}'), coalesce(max(${column}), 1), max(${column}) IS NOT NULL) FROM ${table}`,
    );
};

/** Writes rows as they come, and sees to it that all came. */
class RowWriter {
  private readonly digest = createHash('sha256');
  private table = '';
  private pending: string[] = [];
  private rows = 0;
  private ended = false;

  constructor(private readonly on: Transaction) {}

  head(line: string): void {
    this.digest.update(`${line}\n`);
  }

  async take(line: string): Promise<void> {
    if (this.ended) return refuse('Something follows the end of the backup.');
    const tab = line.indexOf('\t');
    if (tab < 0) return this.foot(line);
    const table = line.slice(0, tab);
    if (!TABLE_NAMES.has(table)) return refuse(`The backup names a table “${table}”.`);
    if (table !== this.table || this.pending.length >= AT_ONCE) await this.flush();
    this.table = table;
    this.pending.push(line.slice(tab + 1));
    this.rows += 1;
    this.digest.update(`${line}\n`);
  }

  end(): void {
    if (!this.ended) refuse('The backup is cut short.');
  }

  private async flush(): Promise<void> {
    if (this.pending.length > 0) await insert(this.on, this.table, this.pending);
    this.pending = [];
  }

  private async foot(line: string): Promise<void> {
    const foot = parsed(Foot, line) ?? refuse('The backup is damaged.');
    await this.flush();
    this.ended = true;
    if (foot.rows !== this.rows || foot.sha256 !== this.digest.digest('hex'))
      refuse('The backup was changed after it was made, or is damaged.');
  }
}

const givePasswords = async (on: Transaction, password: string | null): Promise<void> => {
  const without = await many<{ id: string }>(on, {
    text: `SELECT id FROM app_user WHERE password_hash = ''`,
  });
  if (without.length === 0) return;
  if (password === null || password.length < 10)
    return refuse('A client’s backup bears no passwords. Name one of at least ten characters.');
  const hash = await hashPassword(password);
  await change(on, {
    text: `UPDATE app_user SET password_hash = $1 WHERE password_hash = ''`,
    values: [hash],
  });
};

/** What a restore needs. `password` is given to people whose backup bears none. */
export interface RestoreRequest {
  readonly migrations: string;
  readonly password: string | null;
}

const restoreLines = async (
  pool: pg.Pool,
  lines: AsyncIterator<string>,
  request: RestoreRequest,
): Promise<void> => {
  const first = await lines.next();
  const headLine = first.done === true ? '' : first.value;
  const head = parsed(Head, headLine) ?? refuse('This is no backup of this application.');
  await migrate(pool, request.migrations, head.migration);
  await inTransactionOn(pool, async (on) => {
    const there = await many(on, { text: 'SELECT 1 FROM practice LIMIT 1' });
    if (there.length > 0) refuse('The database is not empty. Restore into one that is.');
    await withoutTriggers(on, async () => {
      const writer = new RowWriter(on);
      writer.head(headLine);
      for (let line = await lines.next(); line.done !== true; line = await lines.next())
        await writer.take(line.value);
      writer.end();
      await givePasswords(on, request.password);
    });
    await goOnCounting(on);
  });
  await migrate(pool, request.migrations);
};

/**
 * Restores a backup into an empty database, all or nothing, and brings it forward to the present
 * migrations. Throws `RestoreError` for what is no backup, was cut short or changed, or has no empty place.
 */
export const restoreBackup = async (
  pool: pg.Pool,
  file: Readable,
  request: RestoreRequest,
): Promise<void> => {
  const unpacked = file.pipe(createGunzip());
  const damaged = new Promise<never>((_resolve, reject) =>
    unpacked.once('error', () => reject(new RestoreError('The file is damaged or no backup.'))),
  );
  const lines = createInterface({ input: unpacked, crlfDelay: Infinity })[Symbol.asyncIterator]();
  await Promise.race([restoreLines(pool, lines, request), damaged]);
};
