import type { AddressInfo } from 'node:net';
import { createServer } from 'node:http';
import { parse } from 'csv-parse/sync';
import { readSheet } from 'read-excel-file/node';
import { createApp } from '../src/app';
import {
  benchChart,
  clientNamed,
  MAREN,
  PASSWORD,
  serveDemo,
  type Caller,
  type Running,
} from './harness';

describe('taking a chart out', () => {
  let server: Running;
  let maren: Caller;
  let clientId: string;
  let files: ReturnType<typeof createServer>;
  let cookie: string;
  beforeAll(async () => {
    server = await serveDemo();
    maren = await server.signedIn(MAREN);
    clientId = (await clientNamed(maren, 'Kestrel Lane Cider Works')).id;
    files = createServer(createApp({ pool: server.pool, log: () => undefined }));
    await new Promise<void>((resolve) => files.listen(0, '127.0.0.1', resolve));
    const signedIn = await fetch(`${base()}/sign-in`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ email: MAREN, password: PASSWORD }),
    });
    cookie = (signedIn.headers.get('set-cookie') ?? '').split(';')[0] ?? '';
  });
  afterAll(async () => {
    files.closeAllConnections();
    await new Promise((resolve) => files.close(resolve));
    await server.stop();
  });

  const base = () => `http://127.0.0.1:${(files.address() as AddressInfo).port}/api`;
  const take = (format: string, query = '', as = cookie) =>
    fetch(`${base()}/clients/${clientId}/exports/${format}${query}`, { headers: { cookie: as } });

  it('gives a table with every account and its amount', async () => {
    const response = await take('csv', '?first=2026-07&last=2026-10');
    expect(response.headers.get('content-disposition')).toContain('Kestrel Lane Cider Works');
    const [head, ...rows] = parse(await response.text(), { bom: true }) as string[][];
    const { accounts } = await benchChart(maren, clientId);
    expect(rows).toHaveLength(accounts.length);
    const rent = rows.find(([number]) => number === '6110');
    expect([head?.at(-1), rent?.at(-1)]).toEqual(['Amount USD', '8600.00']);
  });

  it('gives a workbook that another reader opens', async () => {
    const bytes = Buffer.from(await (await take('xlsx')).arrayBuffer());
    const rows = await readSheet(bytes, 'Chart of accounts');
    expect(rows.find(([number]) => number === '6110')?.[1]).toBe('Rent');
  });

  it('gives everything as JSON, with the history', async () => {
    const whole = (await (await take('json')).json()) as Record<string, unknown[]>;
    expect(whole['accounts']).toHaveLength((await benchChart(maren, clientId)).accounts.length);
    expect(whole['history']).toHaveLength(3);
  });

  it('gives nothing to strangers, nor in a format that there is not', async () => {
    expect((await take('csv', '', '')).status).toBe(401);
    expect((await take('docx')).status).toBe(404);
    expect((await take('csv', '?first=2026-13&last=2026-10')).status).toBe(400);
  });
});
