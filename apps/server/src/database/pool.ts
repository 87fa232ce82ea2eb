import pg from 'pg';

const DATE_OID = 1082;

/** How long anything may take on a connection, and how many there are. Seconds. */
export interface PoolLimits {
  readonly connections: number;
  /** Until a connection is had. */
  readonly connect: number;
  /** Until a statement ends; 0 for however long it takes. */
  readonly statement: number;
  /** Until a lock is had; 0 for however long it takes. */
  readonly lock: number;
}

/** What people wait for: they are told within seconds that it cannot be. */
export const servingLimits = (connections: number, statement: number): PoolLimits => ({
  connections,
  connect: 4,
  statement,
  lock: 5,
});

/** What nobody waits for at a page: migrations, the demo, restoring. */
export const PATIENT: PoolLimits = { connections: 4, connect: 10, statement: 0, lock: 0 };

const milliseconds = (seconds: number): number | false => (seconds === 0 ? false : seconds * 1000);

const timeouts = ({ connect, statement, lock }: PoolLimits): pg.PoolConfig => ({
  connectionTimeoutMillis: connect * 1000,
  idleTimeoutMillis: 30_000,
  statement_timeout: milliseconds(statement),
  lock_timeout: lock * 1000,
  idle_in_transaction_session_timeout: statement * 1000,
  // A database that is frozen says nothing at all; then the connection is given up from here.
  ...(statement === 0 ? {} : { query_timeout: (statement + 5) * 1000 }),
});

/**
 * A pool on the database at `url`. Dates come as text `YYYY-MM-DD`, int8 as text. A connection
 * that the database closes while it is idle is told to `log` and replaced; the server stays up.
 */
export const createPool = (
  url: string,
  log: (line: string) => void = () => undefined,
  limits: PoolLimits = PATIENT,
): pg.Pool => {
  const types: pg.CustomTypesConfig = {
    getTypeParser: (oid, format) =>
      Number(oid) === DATE_OID
        ? (value: string): unknown => value
        : (pg.types.getTypeParser(oid, format) as (value: string) => unknown),
  };
  const pool = new pg.Pool({
    connectionString: url,
    types,
    max: limits.connections,
    keepAlive: true,
    ...timeouts(limits),
  });
  pool.on('error', (error) => log(`a database connection was lost: ${error.message}`));
  return pool;
};
