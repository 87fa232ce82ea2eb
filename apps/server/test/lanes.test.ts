import { join } from 'node:path';
import type { Raw } from '../src/endpoints/perform';
import { layLanes, type LanePlan, type Runner } from '../src/lanes/lanes';
import { lanesOfThreads } from '../src/lanes/threads';
import { servingLimits } from '../src/database/pool';
import { applicationUrlOf, clientNamed, MAREN, serve, serveDemo } from './harness';

const raw = (name: Raw['name'], userId = 'u'): Raw => ({
  name,
  requestId: 'r',
  viewer: { userId, practiceId: 'p', role: 'administrator', clientId: null },
  params: { clientId: 'c' },
  query: {},
  body: null,
});
const done =
  (body: string): Runner =>
  () =>
    Promise.resolve({ status: 200, headers: {}, body, fault: null });
const endless: Runner = (_raw, signal) =>
  new Promise((_resolve, reject) =>
    signal.addEventListener('abort', () => reject(new Error('ended'))),
  );
const plan = (change: Partial<LanePlan> = {}): LanePlan => ({
  here: done('here'),
  quick: done('quick'),
  long: done('long'),
  atOnce: 1,
  seconds: 0.05,
  close: () => Promise.resolve(),
  ...change,
});

describe('the lanes in which work is done', () => {
  it('keep what may take long apart from what people wait for', async () => {
    const lanes = layLanes(plan());
    const where = async (name: Raw['name']) => (await lanes.run(raw(name))).body;
    expect([await where('clients'), await where('bench'), await where('adopt')]).toEqual([
      'here',
      'quick',
      'long',
    ]);
  });

  it('end work that takes too long, say so, and go on with the next', async () => {
    const lanes = layLanes(plan({ long: endless }));
    const first = await lanes.run(raw('exportChart'));
    expect([first.status, first.body]).toEqual([503, '{"code":"tookTooLong"}']);
    expect((await lanes.run(raw('undo'))).status).toBe(503);
    expect((await lanes.run(raw('bench'))).body).toBe('quick');
  });

  it('answer work that fails of itself as a fault, once, with the request’s id', async () => {
    const failing: Runner = () => Promise.reject(new Error('no memory'));
    const answer = await layLanes(plan({ quick: failing })).run(raw('bench'));
    expect([answer.status, answer.body]).toEqual([500, '{"code":"failed","id":"r"}']);
    expect(answer.fault).toContain('no memory');
  });

  it('run in threads with connections of their own, on what is built', async () => {
    const server = await serveDemo();
    const url = await applicationUrlOf(server.pool);
    const { createPool } = await import('../src/database/pool');
    const pool = createPool(url, () => undefined, servingLimits(4, 30));
    const lanes = lanesOfThreads({
      pool,
      worker: join(__dirname, '../dist/worker.js'),
      start: { databaseUrl: url, limits: servingLimits(2, 30) },
      threads: 1,
      seconds: 60,
    });
    const threaded = await serve(createPool(String(server.pool.options.connectionString)), {
      lanes,
    });
    const maren = await threaded.signedIn(MAREN);
    const { id } = await clientNamed(maren, 'Kestrel Lane Cider Works');
    const paths = [
      `/clients/${id}/bench`,
      `/clients/${id}/revisions/1/chart`,
      `/clients/${id}/exports/json`,
    ];
    const statuses = await Promise.all(
      paths.map(async (path) => (await maren.ask('GET', path)).status),
    );
    expect(statuses).toEqual([200, 200, 200]);
    await threaded.stop();
    await lanes.close();
    await pool.end();
    await server.stop();
  }, 60_000);
});
