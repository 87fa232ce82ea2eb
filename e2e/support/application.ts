import { spawn, type ChildProcess } from 'node:child_process';
import { join } from 'node:path';
import pg from 'pg';
import { createDatabase } from './database';
import { RoundRobin } from './round-robin';

const MAIN = join(process.cwd(), 'apps/server/dist/main.js');

/** How many servers share the database, one request each in turn, where a test does not say. */
const SERVERS = Number(process.env['E2E_SERVERS'] ?? '1');

interface ServerProcess {
  readonly child: ChildProcess;
  readonly port: number;
}

/** The built application, running on a database of its own with the demo practice. */
export class Application {
  private running: readonly ServerProcess[] = [];
  private readonly proxy = new RoundRobin();
  private port = 0;

  private constructor(
    readonly databaseUrl: string,
    private readonly servers: number,
  ) {}

  /** Starts it: one server, or several behind a proxy that gives each request to the next. */
  static async start(servers = SERVERS): Promise<Application> {
    const application = new Application(await createDatabase(Application.load), servers);
    await application.run();
    return application;
  }

  /** Brings a database forward and loads the demo into it, as a first start does. */
  private static readonly load = async (databaseUrl: string): Promise<void> => {
    const loading = new Application(databaseUrl, 1);
    await loading.run();
    await loading.stop();
  };

  get address(): string {
    return `http://127.0.0.1:${this.port}`;
  }

  /** Stops the server and starts it again, as after a night. The port stays, so that open pages find it. */
  async restart(): Promise<void> {
    await this.end();
    await this.run();
  }

  /** Stops the servers; the address stays, and nobody answers there until `run`. */
  async end(): Promise<void> {
    const ending = this.running.map(
      ({ child }) =>
        new Promise((resolve) => {
          child.once('exit', resolve);
          child.kill('SIGTERM');
        }),
    );
    await Promise.all(ending);
    this.running = [];
  }

  /** Ends all sessions, as an administrator or the night would. */
  async endSessions(): Promise<void> {
    const client = new pg.Client({ connectionString: this.databaseUrl });
    await client.connect();
    await client.query('DELETE FROM session');
    await client.end();
  }

  async stop(): Promise<void> {
    await this.end();
    if (this.servers > 1) await this.proxy.close();
  }

  /** Starts the servers, one after the other: the first one brings the database forward. */
  async run(): Promise<void> {
    const started: ServerProcess[] = [];
    for (let count = 0; count < this.servers; count += 1)
      started.push(await this.spawn(this.servers > 1 ? 0 : this.port));
    this.running = started;
    const ports = started.map(({ port }) => port);
    this.port = this.servers > 1 ? await this.proxy.serve(ports) : (ports[0] ?? 0);
  }

  private spawn(port: number): Promise<ServerProcess> {
    const env = {
      ...process.env,
      DATABASE_URL: this.databaseUrl,
      SECRET: 'a secret that is long enough for tests',
      DEMO: 'yes',
      LOG: 'silent',
      PORT: String(port),
      ...(this.servers > 1 ? { TRUSTED_PROXY: 'loopback' } : {}),
    };
    const child = spawn(process.execPath, [MAIN], { env, stdio: ['ignore', 'pipe', 'inherit'] });
    return new Promise((resolve, reject) => {
      let said = '';
      child.once('exit', (code) =>
        reject(new Error(`the application ended with ${code}: ${said}`)),
      );
      const hear = (chunk: Buffer): void => {
        said += chunk.toString();
        const found = /http:\/\/127\.0\.0\.1:(\d+)/.exec(said);
        if (found === null) return;
        // What it says next must not be taken for its start: somebody may wait for its end by then.
        child.stdout.off('data', hear).resume();
        child.removeAllListeners('exit');
        resolve({ child, port: Number(found[1]) });
      };
      child.stdout.on('data', hear);
    });
  }
}
