import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { NewPersonRequest } from '@iunctus/contract';
import * as v from 'valibot';
import { problemOf, storyOf } from './problems/errors';
import { migrate } from './database/migrate';
import { createPool } from './database/pool';
import { letAdministratorIn } from './people/first-administrator';

/** Lets an administrator of a practice in: practice, name and e-mail address are on the command line. */
const [practice = '', name = '', email = ''] = process.argv.slice(2);
const end = (words: string): never => {
  process.stderr.write(`${words}\n`);
  process.exit(2);
};
const person = { name, email, role: 'administrator', clientId: null };
const read = v.safeParse(NewPersonRequest, person);
if (practice.trim() === '' || !read.success)
  end(
    'Name the practice, the person and their e-mail address: bin/administrator "Quill Row Bookkeeping" "Maren Oake" maren@quillrow.example',
  );

const pool = createPool(process.env['DATABASE_URL'] ?? '');
try {
  await migrate(pool, join(dirname(fileURLToPath(import.meta.url)), '../migrations'));
  const token = await letAdministratorIn(pool, { practice: practice.trim(), name, email });
  process.stdout.write(
    `${name} sets a password within a week at the application’s address, followed by /welcome#${token}\n`,
  );
} catch (error) {
  const found = problemOf(error, '');
  end(
    found.code === 'emailTaken'
      ? 'Somebody of another practice has this e-mail address.'
      : storyOf(error),
  );
} finally {
  await pool.end();
}
