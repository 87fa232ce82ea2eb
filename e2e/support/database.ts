import { createHash, randomUUID } from 'node:crypto';
import { readdir, readFile } from 'node:fs/promises';
import { join } from 'node:path';
import pg from 'pg';

/** What holds while one process makes the pattern and the others wait for it. */
const MAKING = 7_310_422;

const named = (name: string): string =>
  (process.env['E2E_DATABASE_URL'] ?? '').replace(/\/postgres$/, `/${name}`);

/** A name for what a fresh demo looks like: by the build and by the files of the demo. */
const patternName = async (): Promise<string> => {
  const hash = createHash('sha256');
  hash.update(await readFile(join(process.cwd(), '.cache/built')));
  const files = await readdir(join(process.cwd(), 'demo'), {
    recursive: true,
    withFileTypes: true,
  });
  const paths = files.filter((one) => one.isFile()).map((one) => join(one.parentPath, one.name));
  for (const path of paths.sort()) hash.update(await readFile(path));
  return `e2e_pattern_${hash.digest('hex').slice(0, 24)}`;
};

const exists = async (admin: pg.Client, name: string): Promise<boolean> =>
  (await admin.query('SELECT 1 FROM pg_database WHERE datname = $1', [name])).rows.length > 0;

/** Makes the pattern once for all tests: under another name until it is whole. */
const makePattern = async (
  admin: pg.Client,
  name: string,
  load: (databaseUrl: string) => Promise<void>,
): Promise<void> => {
  await admin.query('SELECT pg_advisory_lock($1)', [MAKING]);
  try {
    if (await exists(admin, name)) return;
    const unfinished = `e2e_${randomUUID().replaceAll('-', '')}`;
    await admin.query(`CREATE DATABASE ${unfinished}`);
    await load(named(unfinished));
    await admin.query(`ALTER DATABASE ${unfinished} RENAME TO ${name}`);
  } finally {
    await admin.query('SELECT pg_advisory_unlock($1)', [MAKING]);
  }
};

/** A database of a test's own with the demo in it: a copy of one into which `load` has loaded it. */
export const createDatabase = async (
  load: (databaseUrl: string) => Promise<void>,
): Promise<string> => {
  const admin = new pg.Client({ connectionString: process.env['E2E_DATABASE_URL'] });
  await admin.connect();
  try {
    const pattern = await patternName();
    if (!(await exists(admin, pattern))) await makePattern(admin, pattern, load);
    const name = `e2e_${randomUUID().replaceAll('-', '')}`;
    await admin.query(`CREATE DATABASE ${name} TEMPLATE ${pattern}`);
    return named(name);
  } finally {
    await admin.end();
  }
};
