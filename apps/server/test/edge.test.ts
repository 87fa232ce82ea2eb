import { randomBytes, randomUUID } from 'node:crypto';
import { request as ask } from 'node:http';
import { gzipSync } from 'node:zlib';
import { pino } from 'pino';
import type { AppParts } from '../src/app';
import { MAREN, PASSWORD, serve, serveDemo, TOBIAS, type Caller, type Running } from './harness';

interface Sent {
  readonly status: number;
  readonly body: string;
  readonly headers: Record<string, string | string[] | undefined>;
}

describe('the edge of the server', () => {
  let server: Running;
  let maren: Caller;
  beforeAll(async () => {
    server = await serveDemo();
    maren = await server.signedIn(MAREN);
  });
  afterAll(() => server.stop());

  /** A request byte by byte, as no browser would make it. */
  const send = (
    method: string,
    path: string,
    { headers = {}, body }: { headers?: Record<string, string>; body?: Buffer | string } = {},
  ): Promise<Sent> =>
    new Promise((resolve, reject) => {
      const { hostname, port } = new URL(server.base);
      const sent = ask({ hostname, port, method, path, headers }, (answer) => {
        let text = '';
        answer.on('data', (chunk: Buffer) => (text += chunk.toString()));
        answer.on('end', () =>
          resolve({ status: answer.statusCode ?? 0, body: text, headers: answer.headers }),
        );
      });
      sent.on('error', reject);
      sent.end(body);
    });
  const signedIn = (more: Record<string, string> = {}) => ({
    cookie: maren.cookie,
    'content-type': 'application/json',
    ...more,
  });

  describe('a name of another site', () => {
    it.each(['evil.example', '127.0.0.1.evil.example', 'localhost:80:80'])(
      'such as “%s” leads nowhere',
      async (host) => {
        const answer = await send('GET', '/api/clients', { headers: { ...signedIn(), host } });
        expect(answer.status === 403 || answer.status === 400).toBe(true);
      },
    );

    it.each(['localhost:3000', '127.0.0.1', '[::1]:9'])('is not %s', async (host) => {
      const answer = await send('GET', '/api/clients', { headers: { ...signedIn(), host } });
      expect(answer.status).toBe(200);
    });
  });

  describe('a page of another site', () => {
    it.each([
      ['its origin', { origin: 'https://evil.example' }],
      ['an origin that is none', { origin: 'null' }],
      ['what the browser says of it', { 'sec-fetch-site': 'cross-site' }],
      ['another application on this machine', { 'sec-fetch-site': 'same-site' }],
    ])('changes nothing: %s tells', async (_what, more) => {
      const answer = await send('POST', '/api/clients', { headers: signedIn(more), body: '{}' });
      expect([answer.status, answer.body]).toEqual([403, '{"code":"foreignOrigin"}']);
    });

    it('changes nothing with a form, which bears no JSON', async () => {
      const headers = { ...signedIn(), 'content-type': 'text/plain' };
      expect((await send('POST', '/api/clients', { headers, body: '{}' })).status).toBe(400);
    });

    it('is not one’s own', async () => {
      const own = { origin: server.base, 'sec-fetch-site': 'same-origin' };
      const headers = signedIn(own);
      expect(
        (await send('POST', '/api/sign-out', { headers: { ...headers, cookie: '' } })).status,
      ).toBe(200);
    });
  });

  describe('a stranger', () => {
    it('is turned away before what they send is read', async () => {
      const { hostname, port } = new URL(server.base);
      // The body is announced and never sent: an answer comes all the same.
      const answer = await new Promise<number>((resolve, reject) => {
        const sent = ask({
          hostname,
          port,
          method: 'PUT',
          path: `/api/clients/${randomUUID()}/proposal`,
          headers: { 'content-type': 'application/json', 'content-length': '20000000' },
        });
        sent.on('response', (response) => {
          resolve(response.statusCode ?? 0);
          sent.destroy();
        });
        sent.on('error', reject);
        sent.write('{');
      });
      expect(answer).toBe(401);
    });

    it('gets no packed body read, however small', async () => {
      const bomb = gzipSync(Buffer.alloc(20_000_000));
      const headers = { 'content-type': 'application/json', 'content-encoding': 'gzip' };
      const answer = await send('POST', '/api/sign-in', { headers, body: bomb });
      expect(answer.status).toBeLessThan(500);
      expect([400, 413]).toContain(answer.status);
    });

    it('gets a small body read, and no large one', async () => {
      const body = JSON.stringify({ email: 'a'.repeat(5000), password: 'x' });
      const headers = { 'content-type': 'application/json' };
      expect((await send('POST', '/api/sign-in', { headers, body })).status).toBe(413);
    });

    it('is not told how the server is asked', async () => {
      expect((await send('GET', '/api/openapi.json')).status).toBe(401);
      const answer = await send('GET', '/api/openapi.json', { headers: signedIn() });
      expect(JSON.parse(answer.body)).toMatchObject({
        openapi: '3.1.0',
        paths: { '/api/clients/{clientId}/revisions': { post: { operationId: 'adopt' } } },
      });
    });

    it('may see whether the server is alive and ready, and nothing else', async () => {
      expect((await send('GET', '/health')).body).toBe('{"alive":true}');
      expect((await send('GET', '/ready')).body).toBe('{"ready":true}');
    });
  });

  it.each([
    ['no JSON', '{'],
    ['bytes that are no UTF-8', Buffer.from([0x22, 0xff, 0xfe, 0x22])],
    ['nothing', ''],
    ['a list', '[]'],
    ['null', 'null'],
    ['depth', '['.repeat(20_000) + ']'.repeat(20_000)],
  ])('answers a body of %s with what is wrong', async (_what, body) => {
    const answer = await send('POST', '/api/clients', { headers: signedIn(), body });
    expect([answer.status, JSON.parse(answer.body).code]).toEqual([400, 'badRequest']);
  });

  it.each(['iso-8859-1', 'utf-16', 'x', 'utf-7'])(
    'answers the charset %s with a no',
    async (charset) => {
      const headers = signedIn({ 'content-type': `application/json; charset=${charset}` });
      expect((await send('POST', '/api/clients', { headers, body: '{}' })).status).toBe(400);
    },
  );

  it.each(['/api/clients/%zz', '/api/clients/%', '/api/clients/%00', '/api/%e0%a4%a', '/%zz'])(
    'answers the address %s with a no',
    async (path) => {
      const { status } = await send('GET', path, { headers: signedIn() });
      expect(status).toBeGreaterThanOrEqual(400);
      expect(status).toBeLessThan(500);
    },
  );

  it('lets no answer of the API stay in a cache', async () => {
    for (const path of ['/clients', '/session', '/nowhere'])
      expect((await maren.ask('GET', path)).headers.get('cache-control')).toBe('no-store');
  });

  it('is logged by what was asked in kind, never by whom or about what', async () => {
    const lines: string[] = [];
    const log = pino({ level: 'info', base: null }, { write: (line) => void lines.push(line) });
    const { createPool } = await import('../src/database/pool');
    const logged = await serve(createPool(String(server.pool.options.connectionString)), { log });
    const who = await logged.signedIn(MAREN);
    const [client] = (await who.ask<{ id: string; name: string }[]>('GET', '/clients')).body;
    await who.ask('GET', `/clients/${client?.id}/balances?first=2026-07&last=2026-10`);
    await logged.anybody().ask('POST', '/sign-in', { email: TOBIAS, password: 'a wrong one' });
    await logged.stop();
    const all = lines.join('');
    expect(all).not.toMatch(/maren|tobias|127\.0\.0\.1|wrong one|iunctus_session|2026-07/i);
    expect(all).not.toContain(client?.id);
    const said = lines.map(
      (line) => JSON.parse(line) as { endpoint?: string; event?: string; res?: { status: number } },
    );
    expect(said).toContainEqual(
      expect.objectContaining({ endpoint: 'balances', res: { status: 404 } }),
    );
    expect(said.map(({ event }) => event)).toEqual(
      expect.arrayContaining(['signedIn', 'signInRefused']),
    );
  });

  it('gives every answer the number under which the log knows it', async () => {
    const { headers } = await maren.ask('GET', '/clients');
    expect(headers.get('x-request-id')).toMatch(/^[\da-f-]{36}$/);
  });
});

describe('signing in', () => {
  let server: Running;
  beforeEach(async () => {
    server = await serveDemo();
  });
  afterEach(() => server.stop());

  const attempt = (email: string, password: string, on: Running = server) =>
    on.anybody().ask<{ code: string; seconds?: number }>('POST', '/sign-in', { email, password });

  it('wants a wait after some tries, which grows, and holds also where the password is right', async () => {
    const first: number[] = [];
    for (let count = 0; count < 5; count += 1) first.push((await attempt(MAREN, 'wrong')).status);
    expect(first).toEqual([401, 401, 401, 401, 401]);
    const refused = await attempt(MAREN, PASSWORD);
    expect([refused.status, refused.body.code]).toEqual([429, 'tooManyTries']);
    expect(Number(refused.headers.get('retry-after'))).toBe(refused.body.seconds);
    const waits = async () =>
      (await server.pool.query('SELECT max(wait_until - last_at) AS wait FROM sign_in_try')).rows[0]
        .wait;
    const before = await waits();
    await server.pool.query(`UPDATE sign_in_try SET wait_until = now() - interval '1 second'`);
    expect((await attempt(MAREN, 'wrong')).status).toBe(401);
    expect(JSON.stringify(await waits())).not.toBe(JSON.stringify(before));
  });

  it('holds the wait across servers, and keeps nobody else out', async () => {
    for (let count = 0; count < 6; count += 1) await attempt(MAREN, 'wrong');
    const { createPool } = await import('../src/database/pool');
    const other = await serve(createPool(String(server.pool.options.connectionString)));
    expect((await attempt(MAREN, PASSWORD, other)).status).toBe(429);
    expect((await attempt(TOBIAS, PASSWORD, other)).status).toBe(200);
    await other.stop();
  });

  it('counts tries that come at once as if they came one after the other', async () => {
    const answers = await Promise.all(Array.from({ length: 20 }, () => attempt(MAREN, 'wrong')));
    expect(answers.filter(({ status }) => status === 401).length).toBeLessThanOrEqual(6);
  });

  it('is free again after one that was right', async () => {
    for (let count = 0; count < 3; count += 1) await attempt(MAREN, 'wrong');
    await attempt(MAREN, PASSWORD);
    for (let count = 0; count < 4; count += 1)
      expect((await attempt(MAREN, 'wrong')).status).toBe(401);
  });

  it('knows addresses and accounts only by what cannot be read back', async () => {
    await attempt('somebody@elsewhere.example', 'wrong');
    const { rows } = await server.pool.query(
      `SELECT encode(key, 'escape') AS key FROM sign_in_try`,
    );
    expect(JSON.stringify(rows)).not.toMatch(/elsewhere|127\.0\.0\.1/);
  });

  it('gives a cookie that goes over HTTPS alone, where a trusted proxy says that people come so', async () => {
    const { createPool } = await import('../src/database/pool');
    const cookieOf = async (change: Partial<AppParts>): Promise<string> => {
      const on = await serve(createPool(String(server.pool.options.connectionString)), change);
      const response = await fetch(`${on.base}/api/sign-in`, {
        method: 'POST',
        headers: { 'content-type': 'application/json', 'x-forwarded-proto': 'https' },
        body: JSON.stringify({ email: MAREN, password: PASSWORD }),
      });
      await on.stop();
      return response.headers.get('set-cookie') ?? '';
    };
    expect(await cookieOf({ trustedProxy: 'loopback' })).toContain('Secure');
    expect(await cookieOf({})).not.toContain('Secure');
  });

  it('ends the session that one came with, and takes a cookie that nobody made for none', async () => {
    const maren = await server.signedIn(MAREN);
    const response = await fetch(`${server.base}/api/sign-in`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', cookie: maren.cookie },
      body: JSON.stringify({ email: MAREN, password: PASSWORD }),
    });
    expect(response.status).toBe(200);
    expect((await maren.ask('GET', '/clients')).status).toBe(401);
    const forged = `iunctus_session=${randomBytes(32).toString('base64url')}`;
    const asked = await fetch(`${server.base}/api/clients`, { headers: { cookie: forged } });
    expect(asked.status).toBe(401);
  });

  it('lasts while it is used, and ends when it is not', async () => {
    const maren = await server.signedIn(MAREN);
    await server.pool.query(`UPDATE session SET used_at = now() - interval '100 minutes'`);
    expect((await maren.ask('GET', '/clients')).status).toBe(200);
    const { rows } = await server.pool.query(
      `SELECT used_at > now() - interval '1 minute' AS noted FROM session`,
    );
    expect(rows).toEqual([{ noted: true }]);
    await server.pool.query(`UPDATE session SET used_at = now() - interval '181 minutes'`);
    expect((await maren.ask('GET', '/clients')).status).toBe(401);
  });
});
