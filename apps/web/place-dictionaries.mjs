// Puts the dictionaries beside what the build made of the interface: a worker asks for the one of its client's country.
import { cpSync, mkdirSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';

const require = createRequire(import.meta.url);
const CODES = ['en', 'en-gb', 'en-ca', 'en-au'];

for (const code of CODES) {
  const from = dirname(require.resolve(`dictionary-${code}`));
  const to = join(import.meta.dirname, 'dist', 'dictionaries', code);
  mkdirSync(to, { recursive: true });
  for (const file of ['index.aff', 'index.dic', 'license'])
    cpSync(join(from, file), join(to, file));
}
