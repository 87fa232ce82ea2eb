const { execFileSync } = require('node:child_process');
const { join } = require('node:path');

/** Starts the end-to-end tests' own PostgreSQL; bin/test stops it. */
module.exports = async () => {
  const script = join(__dirname, '../../bin/postgres');
  process.env.E2E_DATABASE_URL = execFileSync(script, ['start', 'e2e', '--fast'], {
    encoding: 'utf8',
  }).trim();
};
