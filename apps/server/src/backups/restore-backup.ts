import { createHash, timingSafeEqual } from 'node:crypto';
import type { Readable } from 'node:stream';
import { StringDecoder } from 'node:string_decoder';
import { createGunzip } from 'node:zlib';
import type pg from 'pg';
import * as v from 'valibot';
import { hashPassword } from '../access/passwords';
import { migrate, MigrationError, RESTORING } from '../database/migrate';
import { change, many } from '../database/query';
import { inTransactionOn, type Transaction } from '../database/transaction';
import { BACKUP_TABLES, COUNTED } from './backup-tables';
import { problemsOfRestored } from './check-restored';
import { signatureOf } from './write-backup';

const Head = v.object({
  format: v.literal('iunctus-backup'),
  version: v.number(),
  scope: v.picklist(['practice', 'client']),
  migration: v.pipe(v.string(), v.regex(/^\d{4}_\w+\.sql$/)),
});
type Head = v.InferOutput<typeof Head>;
const Foot = v.object({
  rows: v.number(),
  sha256: v.pipe(v.string(), v.regex(/^[0-9a-f]{64}$/)),
  signature: v.optional(v.string(), ''),
});

/** The newest way of writing a backup; the first one was not signed. */
const VERSION = 2;

/** Why a backup cannot be restored; nothing of it is in the database then. */
export class RestoreError extends Error {}

const refuse = (words: string): never => {
  throw new RestoreError(words);
};

/** Rows that are written at once, and the longest that one may be. */
const AT_ONCE = 1000;
const LONGEST_ROW = 128 * 2 ** 20;

const TABLE_NAMES = new Set(BACKUP_TABLES.map(({ name }) => name));

const parsed = <T>(schema: v.GenericSchema<unknown, T>, line: string): T | null => {
  try {
    const result = v.safeParse(schema, JSON.parse(line));
    return result.success ? result.output : null;
  } catch {
    return null;
  }
};

type Columns = ReadonlyMap<string, ReadonlySet<string>>;

/** The columns of each table as the database has them. */
const columnsOf = async (on: Transaction): Promise<Columns> => {
  const rows = await many<{ table_name: string; columns: string[] }>(on, {
    text: `
      SELECT table_name, array_agg(column_name::text) AS columns FROM information_schema.columns
      WHERE table_schema = current_schema() AND table_name = ANY ($1) GROUP BY table_name`,
    values: [[...TABLE_NAMES]],
  });
  return new Map(rows.map(({ table_name, columns }) => [table_name, new Set(columns)]));
};

const insert = async (on: Transaction, table: string, rows: readonly string[]): Promise<void> => {
  try {
    await change(on, {
      text: `
        INSERT INTO ${table} OVERRIDING SYSTEM VALUE
        SELECT * FROM jsonb_populate_recordset(NULL::${table}, $1::jsonb)`,
      values: [`[${rows.join(',')}]`],
    });
  } catch (error) {
    refuse(`A row of ${table} breaks a rule of the database: ${wordsOf(error)}.`);
  }
};

const wordsOf = (error: unknown): string => (error instanceof Error ? error.message : 'unknown');

const tablesHere = (columns: Columns) => BACKUP_TABLES.filter(({ name }) => columns.has(name));

/** The database's own rules ran when the rows were first written; what they would have seen to is checked afterwards. */
const withoutTriggers = async (
  on: Transaction,
  columns: Columns,
  work: () => Promise<void>,
): Promise<void> => {
  for (const { name } of tablesHere(columns))
    await on.query(`ALTER TABLE ${name} DISABLE TRIGGER USER`);
  await work();
  try {
    await on.query('SET CONSTRAINTS ALL IMMEDIATE');
  } catch (error) {
    refuse(`The backup breaks a rule of the database: ${wordsOf(error)}.`);
  }
  for (const { name } of tablesHere(columns))
    await on.query(`ALTER TABLE ${name} ENABLE TRIGGER USER`);
};

const goOnCounting = async (on: Transaction): Promise<void> => {
  for (const { table, column } of COUNTED)
    await on.query(
      `SELECT setval(pg_get_serial_sequence('${table}', '${column}'), coalesce(max(${column}), 1), max(${column}) IS NOT NULL) FROM ${table}`,
    );
};

/** Writes rows as they come, and sees to it that all came, unchanged, and from where they say. */
class RowWriter {
  private readonly digest = createHash('sha256');
  private table = '';
  private pending: string[] = [];
  private rows = 0;
  private ended = false;
  /** Whether this installation, or one with the same secret, made the backup. */
  isOwn = false;

  constructor(
    private readonly on: Transaction,
    private readonly columns: Columns,
    private readonly secret: string,
  ) {}

  head(line: string): void {
    this.digest.update(`${line}\n`);
  }

  async take(line: string): Promise<void> {
    if (this.ended) return refuse('Something follows the end of the backup.');
    const tab = line.indexOf('\t');
    if (tab < 0) return this.foot(line);
    const [table, row] = [line.slice(0, tab), line.slice(tab + 1)];
    this.look(table, row);
    if (table !== this.table || this.pending.length >= AT_ONCE) await this.flush();
    this.table = table;
    this.pending.push(row);
    this.rows += 1;
    this.digest.update(`${line}\n`);
  }

  end(): void {
    if (!this.ended) refuse('The backup is cut short.');
  }

  /** A row names a table that there is, and columns that it has. */
  private look(table: string, row: string): void {
    const columns = TABLE_NAMES.has(table) ? this.columns.get(table) : undefined;
    if (columns === undefined)
      return refuse(`The backup names a table “${table.slice(0, 60)}”, which there is not.`);
    const read =
      parsed(v.record(v.string(), v.unknown()), row) ??
      refuse(`Row ${this.rows + 1} of the backup cannot be read.`);
    const unknown = Object.keys(read).find((name) => !columns.has(name));
    if (unknown !== undefined)
      refuse(
        `Row ${this.rows + 1} of the backup has a column “${unknown.slice(0, 60)}”, which ${table} has not.`,
      );
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
    const [own, found] = [signatureOf(foot.sha256, this.secret), foot.signature].map(Buffer.from);
    this.isOwn =
      own !== undefined &&
      found !== undefined &&
      own.length === found.length &&
      timingSafeEqual(own, found);
  }
}

const givePasswords = async (on: Transaction, password: string | null): Promise<void> => {
  if (password === null) return;
  if (password.length < 10) refuse('PASSWORD has at least ten characters.');
  await change(on, {
    text: `
      UPDATE app_user SET password_hash = $1
      WHERE coalesce(password_hash, '') = '' AND to_jsonb(app_user) ->> 'removed_at' IS NULL`,
    values: [await hashPassword(password)],
  });
};

/** What a restore needs. */
export interface RestoreRequest {
  readonly migrations: string;
  /** Given to people whose backup bears none; without it they are let in anew by an administrator. */
  readonly password: string | null;
  /** The secret of this installation, by which its own backups are known. */
  readonly secret: string;
  /** Whether a backup of another installation is wanted: it is checked as any, but nobody vouches for what it says. */
  readonly foreign: boolean;
}

const readHead = (line: string): Head => {
  const head = parsed(Head, line) ?? refuse('This is no backup of this application.');
  if (head.version > VERSION)
    refuse('The backup was made by a newer version. Restore it with that version.');
  return head;
};

/** Brings an empty database as far as the backed-up one was. */
const prepare = async (
  pool: pg.Pool,
  { migrations }: RestoreRequest,
  head: Head,
): Promise<void> => {
  try {
    await migrate(pool, migrations, { last: head.migration });
  } catch (error) {
    if (error instanceof MigrationError) refuse(error.message);
    throw error;
  }
  const [newest] = await many<{ name: string }>(pool, {
    text: `SELECT name FROM schema_migration ORDER BY name DESC LIMIT 1`,
  });
  if ((newest?.name ?? '') < head.migration)
    refuse('The backup was made by a newer version. Restore it with that version.');
  if ((newest?.name ?? '') > head.migration)
    refuse('The database is already newer than the backup. Restore into one that is empty.');
};

const writeRows = (
  pool: pg.Pool,
  lines: { readonly head: string; readonly rest: AsyncIterator<string> },
  request: RestoreRequest,
): Promise<void> =>
  inTransactionOn(pool, async (on) => {
    const there = await many(on, { text: 'SELECT 1 FROM practice LIMIT 1' });
    if (there.length > 0) refuse('The database is not empty. Restore into one that is.');
    const columns = await columnsOf(on);
    await withoutTriggers(on, columns, async () => {
      const writer = new RowWriter(on, columns, request.secret);
      writer.head(lines.head);
      for (let line = await lines.rest.next(); line.done !== true; line = await lines.rest.next())
        await writer.take(line.value);
      writer.end();
      if (!writer.isOwn && !request.foreign)
        refuse(
          'Another installation made this backup, or one before backups were signed. If you trust whoever gave it to you, restore it with FOREIGN=yes.',
        );
      await givePasswords(on, request.password);
    });
    await goOnCounting(on);
    await change(on, {
      text: 'INSERT INTO schema_migration (name) VALUES ($1)',
      values: [RESTORING],
    });
  });

/** Sees to everything that the database's rules and the core's would have seen to; on what is wrong nothing stays. */
const check = async (pool: pg.Pool): Promise<void> => {
  // What was just written has no statistics yet, and the questions below are about all of it.
  await pool.query('ANALYZE');
  const [found] = await problemsOfRestored(pool);
  if (found === undefined) return;
  await inTransactionOn(pool, async (on) => {
    await on.query('DROP SCHEMA public CASCADE');
    await on.query('CREATE SCHEMA public');
  });
  refuse(`The backup is not sound: ${found}. Nothing of it was restored.`);
};

const restoreLines = async (
  pool: pg.Pool,
  lines: AsyncIterator<string>,
  request: RestoreRequest,
): Promise<void> => {
  const first = await lines.next();
  const line = first.done === true ? '' : first.value;
  await prepare(pool, request, readHead(line));
  await writeRows(pool, { head: line, rest: lines }, request);
  await migrate(pool, request.migrations, { restoring: true });
  await check(pool);
  await inTransactionOn(pool, (on) =>
    change(on, { text: 'DELETE FROM schema_migration WHERE name = $1', values: [RESTORING] }),
  );
};

/** The lines of a stream, one at a time; one that has no end is refused before it fills the memory. */
async function* linesOf(stream: Readable): AsyncGenerator<string> {
  const decoder = new StringDecoder('utf8');
  let rest = '';
  for await (const chunk of stream) {
    rest += decoder.write(chunk as Buffer);
    const lines = rest.split('\n');
    rest = lines.pop() ?? '';
    yield* lines;
    if (rest.length > LONGEST_ROW) refuse('A row of the backup is longer than any can be.');
  }
  if (rest !== '') yield rest;
}

/**
 * Restores a backup into an empty database, all or nothing, and brings it forward to the present
 * migrations. Throws `RestoreError` for what is no backup, was cut short or changed, was made elsewhere without that
 * being said, breaks a rule, or has no empty place.
 */
export const restoreBackup = async (
  pool: pg.Pool,
  file: Readable,
  request: RestoreRequest,
): Promise<void> => {
  const unpacked = file.pipe(createGunzip());
  const damaged = new Promise<never>((_resolve, reject) => {
    const end = (): void => reject(new RestoreError('The file is damaged or no backup.'));
    unpacked.once('error', end);
    file.once('error', end);
  });
  await Promise.race([restoreLines(pool, linesOf(unpacked), request), damaged]);
};
