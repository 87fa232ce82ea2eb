import pg from 'pg';

const DATE_OID = 1082;

/**
 * A pool on the database at `url`. Dates come as text `YYYY-MM-DD`, int8 as text. A connection
 * that the database closes while it is idle is told to `log` and replaced; the server stays up.
 */
export const createPool = (url: string, log: (line: string) => void = () => undefined): pg.Pool => {
  const types: pg.CustomTypesConfig = {
    getTypeParser: (oid, format) =>
      oid === DATE_OID ? (value: string) => value : pg.types.getTypeParser(oid, format),
  };
  const pool = new pg.Pool({ connectionString: url, types, max: 10 });
  pool.on('error', (error) => log(`a database connection was lost: ${error.message}`));
  return pool;
};
