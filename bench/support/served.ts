import { spawn, type ChildProcess } from 'node:child_process';
import { PASSWORD, type BenchDatabase } from './database';

/** The built server on a benchmark's database. */
export interface Served {
  readonly address: string;
  readonly process: ChildProcess;
  stop(): void;
}

/** Starts it, and waits until it serves. */
export const serveBuilt = async ({ url }: BenchDatabase): Promise<Served> => {
  const child = spawn(process.execPath, ['apps/server/dist/main.js'], {
    env: {
      ...process.env,
      DATABASE_URL: url,
      SECRET: 'a secret that is long enough to measure',
      LOG: 'silent',
      PORT: '0',
    },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  const address = await new Promise<string>((resolve) => {
    child.stdout.on('data', (chunk: Buffer) => {
      const found = /http:\/\/127\.0\.0\.1:\d+/.exec(chunk.toString());
      if (found !== null) resolve(found[0]);
    });
  });
  return { address, process: child, stop: () => child.kill() };
};

/** Somebody who is signed in there. */
export type Ask = <T>(method: string, path: string, body?: unknown) => Promise<T>;

/** Signs somebody in. What is refused is thrown, with its answer. */
export const signedIn = async ({ address }: Served, email: string): Promise<Ask> => {
  const headers = { 'content-type': 'application/json' };
  const response = await fetch(`${address}/api/sign-in`, {
    method: 'POST',
    headers,
    body: JSON.stringify({ email, password: PASSWORD }),
  });
  const cookie = (response.headers.get('set-cookie') ?? '').split(';')[0] ?? '';
  return async <T>(method: string, path: string, body?: unknown): Promise<T> => {
    const answer = await fetch(`${address}/api${path}`, {
      method,
      headers: { ...headers, cookie },
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
    });
    const text = await answer.text();
    if (!answer.ok) throw new Error(`${method} ${path}: ${answer.status} ${text.slice(0, 200)}`);
    return JSON.parse(text) as T;
  };
};
