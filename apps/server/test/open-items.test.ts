import type { OpenItemsAnswer, OpenItemsRequest, TidyCheckAnswer } from '@iunctus/contract';
import { randomUUID } from 'node:crypto';
import {
  adoptAs,
  benchChart,
  brokenRule,
  clientNamed,
  idOf,
  MAREN,
  serveDemo,
  somebodyIn,
  TOBIAS,
  type Caller,
  type Running,
} from './harness';

describe('what stands open in an account', () => {
  let server: Running;
  let maren: Caller;
  let tobias: Caller;
  let clientId: string;
  let suppliers: string;
  beforeAll(async () => {
    server = await serveDemo();
    [maren, tobias] = [await server.signedIn(MAREN), await server.signedIn(TOBIAS)];
    clientId = (await clientNamed(maren, 'Kestrel Lane Cider Works')).id;
    suppliers = idOf(await benchChart(maren, clientId), '2000');
  });
  afterAll(() => server.stop());

  const base = () => `/clients/${clientId}/open-items`;
  const listed = (version: number, amount = 120_00, month = '2026-01'): OpenItemsRequest => ({
    version,
    list: { month, items: [{ party: 'Heron Inn', reference: '1041', date: null, amount }] },
  });
  const keep = (request: unknown, who = maren, account = suppliers) =>
    who.ask<{ code?: string; version?: number }>('PUT', `${base()}/${account}`, request);
  const lists = async (who = maren) =>
    (await who.ask<OpenItemsAnswer>('GET', base())).body.filter(
      ({ accountId }) => accountId === suppliers,
    );

  it('agrees with the books where the demo brings it along', async () => {
    const { body } = await maren.ask<OpenItemsAnswer>('GET', base());
    expect(body.map(({ author }) => author)).toEqual(['Tobias Fenn']);
    const path = `/clients/${clientId}/tidy-check`;
    expect((await maren.ask<TidyCheckAnswer>('GET', path)).body?.wrong).toBe(0);
  });

  it('is kept with who brought it, and gives way to a newer list', async () => {
    expect((await keep(listed(0))).body).toEqual({ version: 1 });
    expect((await keep(listed(1, 90_00, '2026-02'), tobias)).body).toEqual({ version: 2 });
    expect(await lists()).toMatchObject([
      {
        accountId: suppliers,
        version: 2,
        list: listed(1, 90_00, '2026-02').list,
        author: 'Tobias Fenn',
      },
    ]);
  });

  it('is not overwritten unseen: the second of two people is told', async () => {
    const answers = await Promise.all([maren, tobias].map((who) => keep(listed(2), who)));
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 409]);
    expect((await keep(listed(0))).body).toMatchObject({ code: 'overtaken', by: 'openItems' });
  });

  it('is held against the balance when the chart is checked', async () => {
    const path = `/clients/${clientId}/tidy-check`;
    const before = (await maren.ask<TidyCheckAnswer>('GET', path)).body;
    await maren.ask('DELETE', `${base()}/${suppliers}`);
    const after = (await maren.ask<TidyCheckAnswer>('GET', path)).body;
    expect((before?.wrong ?? 0) - (after?.wrong ?? 0)).toBe(1);
  });

  it('is dropped with the list, once or twice', async () => {
    expect((await maren.ask('DELETE', `${base()}/${suppliers}`)).status).toBe(200);
    expect(await lists()).toEqual([]);
  });

  it('refuses accounts of no chart, headings, and what cannot be read, naming the field', async () => {
    const chart = await benchChart(maren, clientId);
    const heading = chart.accounts.find(({ role }) => role === 'heading')?.id ?? '';
    expect((await keep(listed(0), maren, randomUUID())).body).toMatchObject({ code: 'badRequest' });
    expect((await keep(listed(0), maren, heading)).status).toBe(400);
    const refused = [
      listed(0, 0.5),
      listed(0, 1, '2026-13'),
      {
        ...listed(0),
        list: { month: '2026-01', items: [{ party: ' ', reference: '', date: null, amount: 1 }] },
      },
      {
        ...listed(0),
        list: {
          month: '2026-01',
          items: Array.from({ length: 2 }, () => ({ ...listed(0).list.items[0], amount: 9e12 })),
        },
      },
    ];
    for (const request of refused) expect((await keep(request)).status).toBe(400);
    expect(await lists()).toEqual([]);
  });

  it('is brought by nobody who only reviews', async () => {
    const reviewer = await somebodyIn(server, 'reviewer');
    expect((await keep(listed(0), reviewer)).status).toBe(403);
    expect((await reviewer.ask('GET', base())).status).toBe(200);
  });

  it('is not told of an account that is hidden, nor brought to it', async () => {
    const { body: people } = await maren.ask<{ id: string; name: string }[]>('GET', '/people');
    const self = people.find(({ name }) => name === 'Maren Oake')?.id ?? '';
    await keep(listed(0));
    await adoptAs(maren, clientId, {
      type: 'changeSetting',
      id: suppliers,
      setting: 'restrictedTo',
      value: [self],
    });
    expect([(await lists()).length, (await lists(tobias)).length]).toEqual([1, 0]);
    expect((await keep(listed(1), tobias)).status).toBe(400);
    await tobias.ask('DELETE', `${base()}/${suppliers}`);
    expect(await lists()).toHaveLength(1);
  });

  it('belongs to a whole month, whoever asks the database', async () => {
    const broken = `UPDATE open_item_list SET month = '2026-01-15'`;
    expect(await brokenRule(server.pool, broken)).toBe('open_item_list_month_check');
  });
});
