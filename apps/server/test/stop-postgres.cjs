const { execFileSync } = require('node:child_process');
const { join } = require('node:path');

module.exports = async () => {
  execFileSync(join(__dirname, '../../../bin/postgres'), ['stop', 'tests']);
};
