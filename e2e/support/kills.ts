import { execFileSync, spawn, type ChildProcess } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import pg from 'pg';
import { problemsOfRestored } from '../../apps/server/src/backups/check-restored';
import { createPool } from '../../apps/server/src/database/pool';

const MAIN = join(process.cwd(), 'apps/server/dist/main.js');
const SCRIPT = join(process.cwd(), 'bin/postgres');
const EMAIL = 'maren@quillrow.example';
const PASSWORD = 'ledger-and-line';

const pause = (milliseconds: number): Promise<void> =>
  new Promise((resolve) => setTimeout(resolve, milliseconds));

/** What came of it. */
export interface Report {
  /** Changes whose adoption was acknowledged, and how many requests came to nothing while something was down. */
  readonly acknowledged: number;
  readonly unanswered: number;
  /** Acknowledged changes that are not there, and rules that the database breaks. Both must be empty. */
  readonly lost: readonly string[];
  readonly broken: readonly string[];
  /** Times that the server ended by itself. Must be 0. */
  readonly ended: number;
}

interface Bench {
  readonly chart: {
    readonly revision: number;
    readonly accounts: readonly {
      readonly id: string;
      readonly role: string;
      readonly name: string;
      readonly kind: string;
      readonly retiredOn: string | null;
    }[];
    readonly proposal: { readonly version: number };
  };
}

/** Somebody who adopts, posts and takes back without end, and remembers what was acknowledged. */
class Worker {
  acknowledged = 0;
  unanswered = 0;
  /** The newest revision that was acknowledged, and the note that each bears. */
  readonly notes = new Map<number, string>();
  /** The numbers under which entries were acknowledged, by their ids. */
  readonly entries = new Map<string, number>();
  /** An entry of which nothing is known yet: it is asked for again until it is. */
  private pending: { readonly id: string } | null = null;
  private stopped = false;
  private turn = 0;

  constructor(
    private readonly base: () => string,
    private readonly cookie: () => string,
    readonly clientId: string,
  ) {}

  stop(): void {
    this.stopped = true;
  }

  private async ask<T>(method: string, path: string, body?: unknown): Promise<T | null> {
    const response = await fetch(`${this.base()}/api/clients/${this.clientId}${path}`, {
      method,
      headers: { cookie: this.cookie(), 'content-type': 'application/json' },
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
    });
    const answer = (await response.json()) as T;
    return response.ok ? answer : null;
  }

  /** Operations for a turn: a new name, an account that comes, what took the last revision back. */
  private async operations({ revision, accounts }: Bench['chart']): Promise<readonly unknown[]> {
    const account = accounts[this.turn % accounts.length];
    if (this.turn % 5 === 4 && revision > 1) {
      const back = await this.ask<{ operations: unknown[] }>('GET', `/revisions/${revision}/undo`);
      if (back !== null && back.operations.length > 0) return back.operations;
    }
    return [{ type: 'editField', id: account?.id, field: 'notes', value: `turn ${this.turn}` }];
  }

  private async adoptOnce(): Promise<void> {
    const bench = await this.ask<Bench>('GET', '/bench');
    if (bench === null) return this.miss();
    const { chart } = bench;
    const note = randomUUID();
    const bank = chart.accounts.find(
      ({ name, role }) => role === 'posting' && /operating account|checking|bank/i.test(name),
    );
    const opening = {
      last: '2026-10',
      list: note,
      balances: [{ accountId: bank?.id, amount: 1000 + this.turn }],
    };
    const step = {
      id: randomUUID(),
      operations: await this.operations(chart),
      ...(this.turn % 3 === 0 && bank !== undefined ? { opening } : {}),
    };
    const proposal = {
      version: chart.proposal.version,
      baseRevision: chart.revision,
      steps: [step],
      conflicts: [],
      name: note,
      comment: '',
    };
    const kept = await this.ask<{ version: number }>('PUT', '/proposal', proposal);
    if (kept === null) return this.miss();
    const adopted = await this.ask<{ revision: number | null }>('POST', '/revisions', {
      version: kept.version,
    });
    if (adopted === null || adopted.revision === null) return this.miss();
    this.notes.set(adopted.revision, note);
    this.acknowledged += 1;
  }

  /** Posts an entry of two lines, or asks again for one that nobody answered for; now and then takes one back. */
  private async postOnce(): Promise<void> {
    const date = new Date().toISOString().slice(0, 10);
    const [known] = this.entries.keys();
    if (this.turn % 7 === 6 && known !== undefined) {
      const body = { id: randomUUID(), date, comment: 'taken back' };
      await this.ask('POST', `/entries/${known}/reversal`, body);
    }
    const bench = await this.ask<Bench>('GET', '/bench');
    const accounts = (bench?.chart.accounts ?? []).filter(
      ({ role, kind, retiredOn }) =>
        role === 'posting' && retiredOn === null && ['bank', 'operatingExpense'].includes(kind),
    );
    const [debit, credit] = [accounts[this.turn % accounts.length], accounts[0]];
    if (debit === undefined || credit === undefined || debit === credit) return;
    const line = (accountId: string, amount: number) => ({
      accountId,
      amount,
      values: {},
      comment: '',
      foreign: null,
    });
    const id = this.pending?.id ?? randomUUID();
    this.pending = { id };
    const posted = await this.ask<{ number: number }>('POST', '/entries', {
      id,
      date,
      source: 'journal',
      comment: `turn ${this.turn}`,
      lines: [line(debit.id, this.turn), line(credit.id, -this.turn)],
      corrects: null,
      standing: null,
      draftId: null,
    });
    if (posted === null) return this.miss();
    this.pending = null;
    this.entries.set(id, posted.number);
    this.acknowledged += 1;
  }

  private miss(): void {
    this.unanswered += 1;
  }

  async run(): Promise<void> {
    while (!this.stopped) {
      this.turn += 1;
      await this.adoptOnce().catch(() => this.miss());
      await this.postOnce().catch(() => this.miss());
      await pause(5);
    }
  }
}

/** A server and a PostgreSQL of their own, that are killed amid work and must come back with all that was acknowledged. */
export class Kills {
  private child: ChildProcess | undefined;
  private expected = false;
  private ended = 0;
  private port = 0;
  private cookie = '';

  private constructor(
    private readonly cluster: string,
    private databaseUrl: string,
  ) {}

  static async prepare(cluster: string): Promise<Kills> {
    const url = execFileSync(SCRIPT, ['start', cluster], { encoding: 'utf8' }).trim();
    const admin = new pg.Client({ connectionString: url });
    await admin.connect();
    await admin.query('DROP DATABASE IF EXISTS practice WITH (FORCE)');
    await admin.query('CREATE DATABASE practice');
    await admin.end();
    const kills = new Kills(cluster, url.replace(/\/postgres$/, '/practice'));
    await kills.startServer();
    return kills;
  }

  private get base(): string {
    return `http://127.0.0.1:${this.port}`;
  }

  private startServer(): Promise<void> {
    this.expected = false;
    const env = {
      ...process.env,
      DATABASE_URL: this.databaseUrl,
      PORT: String(this.port),
      DEMO: 'yes',
      LOG: 'silent',
      SECRET: 'a secret that is long enough for tests',
    };
    const child = spawn(process.execPath, [MAIN], { env, stdio: ['ignore', 'pipe', 'ignore'] });
    this.child = child;
    child.on('exit', () => {
      if (!this.expected) this.ended += 1;
    });
    return new Promise((resolve, reject) => {
      child.once('exit', (code) => reject(new Error(`the server ended with ${code}`)));
      child.stdout.on('data', (chunk: Buffer) => {
        const found = /127\.0\.0\.1:(\d+)/.exec(chunk.toString());
        if (found === null) return;
        this.port = Number(found[1]);
        resolve();
      });
    });
  }

  private async killServer(): Promise<void> {
    this.expected = true;
    const { child } = this;
    const gone = new Promise((resolve) => child?.once('exit', resolve));
    child?.kill('SIGKILL');
    await gone;
    await this.startServer();
  }

  private async killPostgres(): Promise<void> {
    const owner = new pg.Client({ connectionString: this.databaseUrl });
    await owner.connect();
    owner.on('error', () => undefined);
    const { rows } = await owner.query(`SELECT current_setting('data_directory') AS folder`);
    const pid = Number(readFileSync(join(rows[0].folder, 'postmaster.pid'), 'utf8').split('\n')[0]);
    process.kill(pid, 'SIGKILL');
    await owner.end().catch(() => undefined);
    const env = { ...process.env, POSTGRES_PORT: new URL(this.databaseUrl).port };
    for (let tries = 0; ; tries += 1)
      try {
        execFileSync(SCRIPT, ['start', this.cluster], { env, stdio: 'ignore' });
        return;
      } catch (error) {
        if (tries > 30) throw error;
        await pause(200);
      }
  }

  private async signIn(): Promise<void> {
    const response = await fetch(`${this.base}/api/sign-in`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ email: EMAIL, password: PASSWORD }),
    });
    this.cookie = (response.headers.get('set-cookie') ?? '').split(';')[0] ?? '';
  }

  private async clientIds(): Promise<string[]> {
    const response = await fetch(`${this.base}/api/clients`, { headers: { cookie: this.cookie } });
    const clients = (await response.json()) as { id: string; chart: object | null }[];
    return clients.flatMap(({ id, chart }) => (chart === null ? [] : [id]));
  }

  /** Waits until the server answers again; it has to, by itself. */
  private async served(): Promise<void> {
    for (let tries = 0; tries < 200; tries += 1) {
      const ready = await fetch(`${this.base}/ready`).then(
        ({ ok }) => ok,
        () => false,
      );
      if (ready) return;
      await pause(100);
    }
    throw new Error('the server does not serve again');
  }

  private async lostOf(workers: readonly Worker[]): Promise<string[]> {
    const owner = new pg.Client({ connectionString: this.databaseUrl });
    await owner.connect();
    const lost: string[] = [];
    for (const { clientId, notes, entries } of workers) {
      const { rows } = await owner.query<{ number: number; note: string }>(
        'SELECT number, note FROM revision JOIN chart ON chart.id = revision.chart_id WHERE chart.client_id = $1',
        [clientId],
      );
      const kept = new Map(rows.map(({ number, note }) => [number, note]));
      for (const [number, note] of notes)
        if (kept.get(number) !== note) lost.push(`revision ${number} of ${clientId}`);
      const posted = await owner.query<{ id: string; number: string }>(
        'SELECT entry.id, entry.number FROM entry JOIN chart ON chart.id = entry.chart_id WHERE chart.client_id = $1',
        [clientId],
      );
      const there = new Map(posted.rows.map(({ id, number }) => [id, Number(number)]));
      for (const [id, number] of entries)
        if (there.get(id) !== number) lost.push(`entry ${number} of ${clientId}`);
    }
    await owner.end();
    return lost;
  }

  private async brokenRules(): Promise<readonly string[]> {
    const pool = createPool(this.databaseUrl);
    const broken = await problemsOfRestored(pool);
    await pool.end();
    return broken;
  }

  /** Kills the server and the database so many times amid work. Tells what was lost, broken, or ended by itself. */
  async run(asked: {
    readonly server: number;
    readonly postgres: number;
    say(line: string): void;
  }): Promise<Report> {
    await this.signIn();
    const workers = (await this.clientIds()).map(
      (id) =>
        new Worker(
          () => this.base,
          () => this.cookie,
          id,
        ),
    );
    const running = workers.map((worker) => worker.run());
    const kinds = [
      ...Array<'server'>(asked.server).fill('server'),
      ...Array<'postgres'>(asked.postgres).fill('postgres'),
    ];
    for (const [at, kind] of kinds.entries()) {
      // At another moment of the work each time.
      await pause(500 + ((at * 137) % 900));
      await (kind === 'server' ? this.killServer() : this.killPostgres());
      await this.served();
      const lost = await this.lostOf(workers);
      if (lost.length > 0) return this.report(workers, lost);
      if ((at + 1) % 25 === 0)
        asked.say(`${at + 1} of ${kinds.length} kills, ${sum(workers)} acknowledged`);
    }
    for (const worker of workers) worker.stop();
    await Promise.all(running);
    return this.report(workers, await this.lostOf(workers));
  }

  private async report(workers: readonly Worker[], lost: readonly string[]): Promise<Report> {
    for (const worker of workers) worker.stop();
    return {
      acknowledged: sum(workers),
      unanswered: workers.reduce((so, { unanswered }) => so + unanswered, 0),
      lost,
      broken: await this.brokenRules(),
      ended: this.ended,
    };
  }

  async end(): Promise<void> {
    this.expected = true;
    const gone = new Promise((resolve) => this.child?.once('exit', resolve));
    this.child?.kill('SIGTERM');
    await gone;
    execFileSync(SCRIPT, ['stop', this.cluster]);
  }
}

const sum = (workers: readonly Worker[]): number =>
  workers.reduce((so, { acknowledged }) => so + acknowledged, 0);
