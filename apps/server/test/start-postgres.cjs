const { execFileSync } = require('node:child_process');
const { join } = require('node:path');

/** Starts the tests' own PostgreSQL; every test file makes a database of its own in it. */
module.exports = async () => {
  const script = join(__dirname, '../../../bin/postgres');
  const url = execFileSync(script, ['start', 'tests', '--fast'], { encoding: 'utf8' });
  process.env.TEST_DATABASE_URL = url.trim();
};
