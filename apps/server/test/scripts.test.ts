import { execFileSync, spawnSync } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { chmodSync, mkdirSync, mkdtempSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import pg from 'pg';

const ROOT = join(__dirname, '../../..');
const MAIN = join(ROOT, 'apps/server/dist/main.js');

interface Said {
  readonly code: number | null;
  readonly words: string;
}

/** The commands on a machine that lacks what they need, as far as that goes without one. */
describe('the commands', () => {
  let folder: string;
  beforeEach(() => {
    folder = mkdtempSync(join(tmpdir(), 'commands-'));
    chmodSync(folder, 0o755);
  });
  afterEach(() => rmSync(folder, { recursive: true, force: true }));

  /** A folder of programs in which those named do what is said, before all others. */
  const programs = (own: Readonly<Record<string, string>>): string => {
    const path = join(folder, 'programs');
    mkdirSync(path, { recursive: true });
    for (const [name, text] of Object.entries(own))
      writeFileSync(join(path, name), `#!/bin/bash\n${text}\n`, { mode: 0o755 });
    return `${path}:${process.env['PATH']}`;
  };
  const run = (
    command: string,
    words: readonly string[],
    env: Readonly<Record<string, string>>,
  ): Said => {
    const { status, stderr } = spawnSync(command, words, {
      env: { ...process.env, ...env },
      encoding: 'utf8',
      timeout: 60_000,
    });
    return { code: status, words: stderr };
  };
  const postgres = (env: Readonly<Record<string, string>>): Said =>
    run(join(ROOT, 'bin/postgres'), ['start', 'probe'], {
      POSTGRES_DATA: join(folder, 'data'),
      ...env,
    });
  const oneSentence = ({ words }: Said): string[] =>
    words
      .trim()
      .split('\n')
      .filter((line) => !/^Installing/.test(line));

  describe('without PostgreSQL', () => {
    const nothing = () => join(folder, 'no-postgres');

    it('install it', () => {
      const asked = join(folder, 'asked');
      const said = postgres({
        POSTGRES_HOME: nothing(),
        PATH: programs({ 'apt-get': `echo "$@" >>${asked}; exit 0`, sudo: 'exec "$@"' }),
      });
      // The stand-in installs nothing, so that it ends there; but it was asked.
      expect(execFileSync('cat', [asked], { encoding: 'utf8' })).toMatch(/install .*postgresql/);
      expect(said.code).not.toBe(0);
      expect(said.words).not.toBe('');
    });

    it('say why it could not be installed', () => {
      const said = postgres({
        POSTGRES_HOME: nothing(),
        PATH: programs({ 'apt-get': 'echo "E: no such registry"; exit 100' }),
      });
      expect([said.code, oneSentence(said)]).toEqual([
        11,
        [expect.stringContaining('no such registry')],
      ]);
    });

    it('say as whom it can be installed, where nobody may', () => {
      const said = postgres({
        POSTGRES_HOME: nothing(),
        PATH: programs({ id: 'echo 1000', sudo: 'exit 1' }),
      });
      expect([said.code, oneSentence(said)]).toEqual([
        11,
        [expect.stringContaining('apt-get install postgresql')],
      ]);
    });
  });

  it('name the PostgreSQL that made a data folder, where there is only another', () => {
    mkdirSync(join(folder, 'data/probe'), { recursive: true });
    writeFileSync(join(folder, 'data/probe/PG_VERSION'), '9\n');
    const said = postgres({});
    expect([said.code, oneSentence(said)]).toEqual([16, [expect.stringContaining('postgresql-9')]]);
  });

  it('say that the disk is full, before anything is begun', () => {
    const df = 'echo "Filesystem 1M-blocks Used Available"; echo "x 9 9 3 99% /"';
    const said = postgres({ PATH: programs({ df }) });
    expect([said.code, oneSentence(said)]).toEqual([
      13,
      [expect.stringContaining('Only 3 MB are free')],
    ]);
  });

  it('say that the disk is full, when it fills up meanwhile', () => {
    const home = join(folder, 'postgres/15/bin');
    mkdirSync(home, { recursive: true });
    writeFileSync(
      join(home, 'initdb'),
      '#!/bin/bash\necho "initdb: error: could not write file: No space left on device" >&2; exit 1\n',
      { mode: 0o755 },
    );
    chmodSync(join(folder, 'postgres'), 0o755);
    const said = postgres({ POSTGRES_HOME: join(folder, 'postgres') });
    expect([said.code, oneSentence(said)]).toEqual([
      13,
      [expect.stringContaining('The disk is full')],
    ]);
  });

  it('say which folder cannot be written to', () => {
    writeFileSync(join(folder, 'file'), '');
    const said = postgres({ POSTGRES_DATA: join(folder, 'file/data') });
    expect([said.code, oneSentence(said)]).toEqual([
      12,
      [expect.stringContaining('cannot be written to')],
    ]);
  });

  it('say which Node.js they need', () => {
    const node = 'if [ "$1" = --version ]; then echo v18.0.0; else exit 1; fi';
    const said = run(join(ROOT, 'bin/prepare'), [], { PATH: programs({ node }) });
    expect([said.code, oneSentence(said)]).toEqual([
      10,
      [expect.stringContaining('this is v18.0.0')],
    ]);
  });

  describe('start the server', () => {
    /** A checkout of which everything is built, with its own data and a stand-in for what is served. */
    const checkout = (main: string): string => {
      const root = join(folder, 'checkout');
      for (const path of ['bin', 'apps/server/dist'])
        mkdirSync(join(root, path), { recursive: true });
      symlinkSync(join(ROOT, 'bin/common.sh'), join(root, 'bin/common.sh'));
      execFileSync('cp', [join(ROOT, 'bin/start'), join(root, 'bin/start')]);
      for (const name of ['prepare', 'build'])
        writeFileSync(join(root, 'bin', name), '#!/bin/bash\n', { mode: 0o755 });
      writeFileSync(
        join(root, 'bin/postgres'),
        '#!/bin/bash\necho "$@" >>asked\necho postgres://x\n',
        { mode: 0o755 },
      );
      writeFileSync(join(root, 'apps/server/dist/main.js'), main);
      writeFileSync(join(root, 'apps/server/dist/package.json'), '{"type":"commonjs"}');
      return root;
    };
    const start = (root: string, env: Readonly<Record<string, string>> = {}): Said =>
      run(join(root, 'bin/start'), [], env);

    it('and end with an error when it ends by itself', () => {
      const said = start(checkout('process.exit(3)'));
      expect([said.code, oneSentence(said)]).toEqual([
        20,
        [expect.stringContaining('exit code 3')],
      ]);
    });

    it('and pass on what it says of itself', () => {
      expect(start(checkout('process.exit(14)')).code).toBe(14);
    });

    it('and stop PostgreSQL behind it', () => {
      const root = checkout('process.exit(1)');
      start(root);
      expect(execFileSync('cat', [join(root, 'asked')], { encoding: 'utf8' })).toContain(
        'stop application',
      );
    });

    it('but not twice: the second one says where the first is, and touches nothing of it', () => {
      const root = checkout('process.exit(1)');
      mkdirSync(join(root, '.data'));
      writeFileSync(join(root, '.data/application.address'), 'http://127.0.0.1:4711');
      const held = `flock -n 9 && ${join(root, 'bin/start')}; echo $? >&2`;
      const said = run('bash', ['-c', `exec 9>>${root}/.data/application.lock; ${held}`], {});
      expect(said.words).toContain('runs already, at http://127.0.0.1:4711');
      expect(said.words.trim().endsWith('15')).toBe(true);
      expect(() => execFileSync('cat', [join(root, 'asked')], { stdio: 'pipe' })).toThrow();
    });
  });

  describe('the server', () => {
    const GOOD = {
      SECRET: 's'.repeat(32),
      DATABASE_URL: process.env['TEST_DATABASE_URL'] ?? '',
      LOG: 'silent',
      PORT: '0',
    };
    const server = (env: Readonly<Record<string, string>>): Said =>
      run(process.execPath, [MAIN], { ...GOOD, ...env });

    it('says every setting that is wrong', () => {
      const said = server({ SECRET: 'short', PORT: 'x' });
      expect(said.code).toBe(11);
      expect(said.words).toMatch(/SECRET has at least 32 characters\. PORT is a whole number/);
    });

    it('says that a port is taken', async () => {
      const taken = createServer().listen(0, '127.0.0.1');
      await new Promise((resolve) => taken.once('listening', resolve));
      const { port } = taken.address() as { port: number };
      // A database of its own: one of an earlier run may have been made by other migrations.
      const name = `ports_${randomUUID().replaceAll('-', '')}`;
      const own = GOOD.DATABASE_URL.replace(/\/postgres$/, `/${name}`);
      const admin = new pg.Client({ connectionString: GOOD.DATABASE_URL });
      await admin.connect();
      await admin.query(`CREATE DATABASE ${name}`);
      await admin.end();
      const said = server({ PORT: String(port), DATABASE_URL: own });
      taken.close();
      expect([said.code, oneSentence(said)]).toEqual([
        14,
        [expect.stringContaining(`Port ${port} is taken`)],
      ]);
    });

    it('says that the database cannot be reached', () => {
      const said = server({ DATABASE_URL: 'postgres://a:b@127.0.0.1:1/x' });
      expect([said.code, oneSentence(said)]).toEqual([
        17,
        [expect.stringContaining('cannot be reached')],
      ]);
    });
  });
});
