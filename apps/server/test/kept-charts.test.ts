import type {
  BenchAnswer,
  KeepChartAnswer,
  KeptChartsAnswer,
  OriginAnswer,
} from '@iunctus/contract';
import { randomUUID } from 'node:crypto';
import { startFromKept, type KeptChart } from '@iunctus/core';
import {
  adoptSteps,
  benchChart,
  clientNamed,
  MAREN,
  serveDemo,
  type Caller,
  type Running,
} from './harness';

describe('the practice’s own starting charts', () => {
  let server: Running;
  let maren: Caller;
  let cider: string;
  let club: string;
  let kept: KeepChartAnswer;
  beforeAll(async () => {
    server = await serveDemo();
    maren = await server.signedIn(MAREN);
    cider = (await clientNamed(maren, 'Kestrel Lane Cider Works')).id;
    club = (await clientNamed(maren, 'Heron Reach Rowing Club')).id;
  });
  afterAll(() => server.stop());

  const keep = (clientId: string, keptChartId: string | null, name: string | null = null) =>
    maren.ask<KeepChartAnswer>('POST', `/clients/${clientId}/kept-chart`, {
      keptChartId,
      name,
      note: 'As agreed',
    });
  const list = async () => (await maren.ask<KeptChartsAnswer>('GET', '/kept-charts')).body;
  const versionOf = async (number: number) =>
    (await maren.ask<KeptChart>('GET', `/kept-charts/${kept.id}/versions/${number}`)).body;

  it('begin with a client’s chart under a name, without bank numbers or budgets', async () => {
    kept = (await keep(cider, null, 'Drinks makers')).body;
    expect(kept.version).toBe(1);
    const text = JSON.stringify(await versionOf(1));
    expect(text).toContain('Taproom sales');
    expect(text).not.toMatch(/"bank":|"budget":/);
    expect(await list()).toMatchObject([
      {
        name: 'Drinks makers',
        versions: [{ number: 1, note: 'As agreed', madeBy: 'Maren Oake' }],
        clients: [
          {
            name: 'Kestrel Lane Cider Works',
            version: 1,
            drift: { added: 0, changed: 0, gone: 0 },
          },
        ],
      },
    ]);
  });

  it('have each a name of its own', async () => {
    expect((await keep(cider, null, 'Drinks makers')).body).toMatchObject({ code: 'nameTaken' });
    expect((await keep(cider, null)).status).toBe(400);
  });

  it('begin another client, which then knows where it came from', async () => {
    const { operations, origin } = startFromKept(await versionOf(1), {
      newId: randomUUID,
      groups: [],
    });
    await maren.ask('POST', `/clients/${club}/chart`);
    const steps = [{ id: randomUUID(), operations }];
    const put = { stepId: steps[0]?.id, keptChartId: kept.id, version: 1, ids: origin };
    expect((await maren.ask('PUT', `/clients/${club}/origin`, put)).status).toBe(200);
    // What is only proposed may still be thrown away.
    expect((await maren.ask('GET', `/clients/${club}/origin`)).body).toBeNull();
    await adoptSteps(maren, club, { baseRevision: 0, steps });
    const { body } = await maren.ask<OriginAnswer>('GET', `/clients/${club}/origin`);
    expect(body).toMatchObject({ name: 'Drinks makers', version: 1, latest: 1 });
    const clients = (await list())[0]?.clients ?? [];
    expect(clients.find(({ id }) => id === club)?.drift).toEqual({ added: 0, changed: 0, gone: 0 });
  });

  it('are not where a client comes from while the step that brought it was thrown away', async () => {
    const { revision, accounts } = await benchChart(maren, club);
    const put = { stepId: randomUUID(), keptChartId: kept.id, version: 1, ids: {} };
    await maren.ask('PUT', `/clients/${club}/origin`, put);
    const id = accounts.find(({ name }) => name === 'Fuel')?.id ?? accounts[0]?.id ?? '';
    const operations = [{ type: 'editField' as const, id, field: 'notes' as const, value: 'Ours' }];
    const steps = [{ id: randomUUID(), operations }];
    await adoptSteps(maren, club, { baseRevision: revision, steps });
    const { body } = await maren.ask<OriginAnswer>('GET', `/clients/${club}/origin`);
    expect(Object.keys(body?.ids ?? {}).length).toBeGreaterThan(0);
  });

  it('get versions, in which their accounts are the same', async () => {
    const { revision, accounts } = await benchChart(maren, cider);
    const rent = accounts.find(({ name }) => name === 'Rent')?.id ?? '';
    const operations = [
      { type: 'editField' as const, id: rent, field: 'name' as const, value: 'Yard rent' },
    ];
    const steps = [{ id: randomUUID(), operations }];
    await adoptSteps(maren, cider, { baseRevision: revision, steps });
    expect((await keep(cider, kept.id)).body.version).toBe(2);
    const ids = async (number: number) => (await versionOf(number)).accounts.map(({ id }) => id);
    expect(await ids(2)).toEqual(await ids(1));
    expect((await versionOf(2)).accounts.map(({ name }) => name)).toContain('Yard rent');
    const { body } = await maren.ask<OriginAnswer>('GET', `/clients/${club}/origin`);
    expect(body).toMatchObject({ version: 1, latest: 2 });
  });

  it('are nowhere to be found in another practice, nor for a client without a chart', async () => {
    expect((await maren.ask('GET', `/kept-charts/${randomUUID()}/versions/1`)).status).toBe(404);
    expect((await keep(randomUUID(), null, 'X')).status).toBe(404);
    expect((await keep(cider, randomUUID())).status).toBe(404);
    const nowhere = { stepId: randomUUID(), keptChartId: randomUUID(), version: 1, ids: {} };
    expect((await maren.ask('PUT', `/clients/${club}/origin`, nowhere)).status).toBe(404);
    expect((await server.anybody().ask('GET', '/kept-charts')).status).toBe(401);
    const { body } = await maren.ask<BenchAnswer>('GET', `/clients/${club}/bench`);
    expect(body.chart?.accounts.length).toBeGreaterThan(10);
  });

  it('can be renamed, though not as another one is called', async () => {
    const other = await keep(cider, null, 'Orchards');
    const path = `/kept-charts/${kept.id}`;
    expect((await maren.ask('PUT', path, { name: 'Cider makers' })).status).toBe(200);
    expect((await maren.ask('PUT', path, { name: 'Orchards' })).body).toMatchObject({
      code: 'nameTaken',
    });
    expect((await maren.ask('PUT', path, { name: ' ' })).status).toBe(400);
    expect((await list()).map(({ name }) => name)).toEqual(['Cider makers', 'Orchards']);
    expect((await maren.ask('DELETE', `/kept-charts/${other.body.id}`)).status).toBe(200);
  });

  it('can be removed; clients keep their charts, and come from it no longer', async () => {
    const { accounts } = await benchChart(maren, club);
    expect((await maren.ask('DELETE', `/kept-charts/${kept.id}`)).status).toBe(200);
    expect(await list()).toEqual([]);
    expect((await maren.ask('GET', `/clients/${club}/origin`)).body).toBeNull();
    expect((await benchChart(maren, club)).accounts).toEqual(accounts);
    expect((await maren.ask('DELETE', `/kept-charts/${kept.id}`)).status).toBe(404);
  });
});
