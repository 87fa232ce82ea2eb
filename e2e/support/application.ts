import { spawn, type ChildProcess } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { join } from 'node:path';
import pg from 'pg';

const MAIN = join(process.cwd(), 'apps/server/dist/main.js');

const createDatabase = async (): Promise<string> => {
  const url = process.env['E2E_DATABASE_URL'] ?? '';
  const name = `e2e_${randomUUID().replaceAll('-', '')}`;
  const admin = new pg.Client({ connectionString: url });
  await admin.connect();
  await admin.query(`CREATE DATABASE ${name}`);
  await admin.end();
  return url.replace(/\/postgres$/, `/${name}`);
};

/** The built application, running on a database of its own with the demo practice. */
export class Application {
  private process: ChildProcess | undefined;
  private port = 0;

  private constructor(readonly databaseUrl: string) {}

  static async start(): Promise<Application> {
    const application = new Application(await createDatabase());
    await application.run();
    return application;
  }

  get address(): string {
    return `http://127.0.0.1:${this.port}`;
  }

  /** Stops the server and starts it again, as after a night. The port stays, so that open pages find it. */
  async restart(): Promise<void> {
    await this.stop();
    await this.run();
  }

  async stop(): Promise<void> {
    const running = this.process;
    if (running === undefined) return;
    await new Promise((resolve) => {
      running.once('exit', resolve);
      running.kill('SIGTERM');
    });
  }

  private run(): Promise<void> {
    const env = { ...process.env, DATABASE_URL: this.databaseUrl, PORT: String(this.port) };
    const child = spawn(process.execPath, [MAIN], { env, stdio: ['ignore', 'pipe', 'inherit'] });
    this.process = child;
    return new Promise((resolve, reject) => {
      let said = '';
      child.once('exit', (code) =>
        reject(new Error(`the application ended with ${code}: ${said}`)),
      );
      child.stdout.on('data', (chunk: Buffer) => {
        said += chunk.toString();
        const found = /http:\/\/127\.0\.0\.1:(\d+)/.exec(said);
        if (found === null) return;
        this.port = Number(found[1]);
        child.removeAllListeners('exit');
        resolve();
      });
    });
  }
}
