import type pg from 'pg';
import type { Reader, Transaction } from './transaction';

/** A statement with its values, `$1` first. */
export interface Sql {
  readonly text: string;
  readonly values?: readonly unknown[];
}

const run = async <R extends pg.QueryResultRow>(on: Reader, sql: Sql): Promise<R[]> => {
  const result = await (on as pg.Pool).query<R>(sql.text, [...(sql.values ?? [])]);
  return result.rows;
};

/** All rows. */
export const many = <R extends pg.QueryResultRow>(on: Reader, sql: Sql): Promise<R[]> =>
  run<R>(on, sql);

/** The one row, or `undefined` when there is none. Throws when there are more. */
export const maybeOne = async <R extends pg.QueryResultRow>(
  on: Reader,
  sql: Sql,
): Promise<R | undefined> => {
  const rows = await run<R>(on, sql);
  if (rows.length > 1) throw new Error(`expected one row at most, got ${rows.length}`);
  return rows[0];
};

/** The one row. Throws when there is none, or more. */
export const exactlyOne = async <R extends pg.QueryResultRow>(on: Reader, sql: Sql): Promise<R> => {
  const row = await maybeOne<R>(on, sql);
  if (row === undefined) throw new Error('expected one row, got none');
  return row;
};

/** Changes rows; only within a transaction. Gives how many. */
export const change = async (on: Transaction, sql: Sql): Promise<number> => {
  const result = await on.query(sql.text, [...(sql.values ?? [])]);
  return result.rowCount ?? 0;
};
