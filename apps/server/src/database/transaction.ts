import type pg from 'pg';

declare const inTransaction: unique symbol;

/** A connection on which a transaction is open; a pool cannot stand in for it. */
export interface Transaction {
  readonly [inTransaction]: true;
  query: pg.PoolClient['query'];
}

/** Whatever can run a reading query: the pool, or an open transaction. */
export type Reader = pg.Pool | Transaction;

/** Runs `work` in a transaction: committed when it ends, rolled back when it throws. */
export const inTransactionOn = async <T>(
  pool: pg.Pool,
  work: (transaction: Transaction) => Promise<T>,
): Promise<T> => {
  const connection = await pool.connect();
  try {
    await connection.query('BEGIN');
    const result = await work(connection as unknown as Transaction);
    await connection.query('COMMIT');
    return result;
  } catch (error) {
    await connection.query('ROLLBACK');
    throw error;
  } finally {
    connection.release();
  }
};
