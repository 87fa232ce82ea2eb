import { spawn } from 'node:child_process';
import { join } from 'node:path';
import {
  benchChart,
  clientNamed,
  freshDatabase,
  idOf,
  keepProposal,
  MAREN,
  PASSWORD,
  rename,
  SECRET,
  type Answer,
  type Caller,
} from './harness';

const MAIN = join(__dirname, '../dist/main.js');

describe('a server that is asked to stop', () => {
  it('lets what is under way end, takes nothing new, and ends without an error', async () => {
    const owner = await freshDatabase();
    const env = {
      ...process.env,
      DATABASE_URL: String(owner.options.connectionString),
      SECRET,
      DEMO: 'yes',
      LOG: 'silent',
      PORT: '0',
    };
    const child = spawn(process.execPath, [MAIN], { env, stdio: ['ignore', 'pipe', 'inherit'] });
    const ended = new Promise<number | null>((resolve) => child.once('exit', resolve));
    const base = await new Promise<string>((resolve) =>
      child.stdout.on('data', (chunk: Buffer) => {
        const found = /http:\/\/127\.0\.0\.1:\d+/.exec(chunk.toString());
        if (found !== null) resolve(found[0]);
      }),
    );
    let cookie = '';
    const maren: Caller = {
      cookie,
      async ask<T>(method: string, path: string, body?: unknown): Promise<Answer<T>> {
        const response = await fetch(`${base}/api${path}`, {
          method,
          headers: { 'content-type': 'application/json', cookie },
          ...(body === undefined ? {} : { body: JSON.stringify(body) }),
        });
        cookie ||= (response.headers.get('set-cookie') ?? '').split(';')[0] ?? '';
        return {
          status: response.status,
          body: (await response.json()) as T,
          headers: response.headers,
        };
      },
    };
    await maren.ask('POST', '/sign-in', { email: MAREN, password: PASSWORD });
    const { id } = await clientNamed(maren, 'Tern Street Ceramics');
    const clay = idOf(await benchChart(maren, id), '5001');
    const steps = [
      { id: '00000000-0000-4000-8000-000000000001', operations: [rename(clay, 'Stoneware clay')] },
    ];
    const { body } = await keepProposal(maren, id, { baseRevision: 1, steps });

    // Somebody else holds the chart, so that the adoption is under way when the server is asked.
    const holder = await owner.connect();
    await holder.query('BEGIN');
    await holder.query('SELECT 1 FROM chart WHERE client_id = $1 FOR UPDATE', [id]);
    const adopting = maren.ask('POST', `/clients/${id}/revisions`, { version: body.version });
    await new Promise((resolve) => setTimeout(resolve, 700));
    child.kill('SIGTERM');
    await new Promise((resolve) => setTimeout(resolve, 300));
    await expect(fetch(`${base}/health`)).rejects.toThrow();
    await holder.query('ROLLBACK');
    holder.release();
    expect((await adopting).status).toBe(200);
    expect(await ended).toBe(0);
    const { rows } = await owner.query('SELECT revision FROM chart WHERE client_id = $1', [id]);
    expect(rows).toEqual([{ revision: 2 }]);
    await owner.end();
  }, 60_000);
});
