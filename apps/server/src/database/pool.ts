import pg from 'pg';

const DATE_OID = 1082;

/** A pool on the database at `url`. Dates come as text `YYYY-MM-DD`, int8 as text. */
export const createPool = (url: string): pg.Pool => {
  const types: pg.CustomTypesConfig = {
    getTypeParser: (oid, format) =>
      oid === DATE_OID ? (value: string) => value : pg.types.getTypeParser(oid, format),
  };
  return new pg.Pool({ connectionString: url, types, max: 10 });
};
