import type pg from 'pg';
import { isAway } from './errors';

declare const inTransaction: unique symbol;

/** A connection on which a transaction is open; a pool cannot stand in for it. */
export interface Transaction {
  readonly [inTransaction]: true;
  query: pg.PoolClient['query'];
}

declare const onSnapshot: unique symbol;

/** A transaction whose reads agree among themselves, whatever others do meanwhile. */
export interface Snapshot extends Transaction {
  readonly [onSnapshot]: true;
}

/** Where reads that have to agree come from: a snapshot that is open, or the pool, which opens one. */
export type Source = pg.Pool | Snapshot;

const isPool = (source: Source): source is pg.Pool => 'totalCount' in source;

/** Whatever can run a reading query: the pool, or an open transaction. */
export type Reader = pg.Pool | Transaction;

/** Rolls back, as far as the connection still can. Gives whether it may be used again. */
const rolledBack = async (connection: pg.PoolClient, cause: unknown): Promise<boolean> => {
  if (isAway(cause)) return false;
  return connection.query('ROLLBACK').then(
    () => true,
    () => false,
  );
};

/**
 * Runs `work` in a transaction: committed when it ends, rolled back when it throws. A connection that is
 * lost meanwhile rejects with what befell it and is not used again.
 */
export const inTransactionOn = async <T>(
  pool: pg.Pool,
  work: (transaction: Transaction) => Promise<T>,
): Promise<T> => {
  const connection = await pool.connect();
  let usable = true;
  // A lost connection says so here as well as to whoever waits for an answer; unheard it would end the server.
  connection.on('error', () => {
    usable = false;
  });
  try {
    await connection.query('BEGIN');
    const result = await work(connection as unknown as Transaction);
    await connection.query('COMMIT');
    return result;
  } catch (error) {
    usable = (await rolledBack(connection, error)) && usable;
    throw error;
  } finally {
    if (usable) connection.removeAllListeners('error');
    connection.release(!usable);
  }
};

/** Runs reads on one snapshot, so that they agree among themselves: on the one that is open already, where there is one. */
export const onSnapshotOf = <T>(
  source: Source,
  work: (snapshot: Snapshot) => Promise<T>,
): Promise<T> => {
  if (!isPool(source)) return work(source);
  return inTransactionOn(source, async (transaction) => {
    await transaction.query('SET TRANSACTION ISOLATION LEVEL REPEATABLE READ READ ONLY');
    return work(transaction as Snapshot);
  });
};
