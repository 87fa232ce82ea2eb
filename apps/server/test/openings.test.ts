import type { OpeningAnswer } from '@iunctus/contract';
import { randomUUID } from 'node:crypto';
import { manyWrongTotals } from '../src/balances/balances.queries';
import { maybeChart } from '../src/charts/charts.queries';
import { benchChart, clientNamed, MAREN, serveDemo, type Caller, type Running } from './harness';

describe('opening balances from a list', () => {
  let server: Running;
  let maren: Caller;
  let clientId: string;
  let idOf: (number: string) => string;
  beforeAll(async () => {
    server = await serveDemo();
    maren = await server.signedIn(MAREN);
    clientId = (await clientNamed(maren, 'Kestrel Lane Cider Works')).id;
    const { accounts } = await benchChart(maren, clientId);
    idOf = (number) => accounts.find((account) => account.number === number)?.id ?? '';
  });
  afterAll(() => server.stop());

  const bring = (balances: { accountId: string; amount: number }[], last = '2026-10') =>
    maren.ask<OpeningAnswer>('POST', `/clients/${clientId}/opening-balances`, { last, balances });

  const balanceOf = async (accountId: string): Promise<number> => {
    const path = `/clients/${clientId}/balances?first=2026-10&last=2026-10`;
    const { body } = await maren.ask<{ amounts: [string, number][] }>('GET', path);
    return body.amounts.find(([id]) => id === accountId)?.[1] ?? 0;
  };

  it('are posted as one balanced entry of what differs; totals agree', async () => {
    const [bank, payable] = [idOf('1010'), idOf('2000')];
    const [was, owed] = [await balanceOf(bank), await balanceOf(payable)];
    const { body } = await bring([
      { accountId: bank, amount: was + 500 },
      { accountId: payable, amount: owed - 500 },
    ]);
    expect(body).toEqual({ posted: 2, difference: 0 });
    expect([await balanceOf(bank), await balanceOf(payable)]).toEqual([was + 500, owed - 500]);
    const viewer = await server.pool.query(
      'SELECT app_user.id AS "userId", practice_id AS "practiceId" FROM app_user WHERE email = $1',
      [MAREN],
    );
    const head = await maybeChart(server.pool, viewer.rows[0], clientId);
    expect(head === undefined ? null : await manyWrongTotals(server.pool, head)).toEqual([]);
  });

  it('brought a second time post nothing', async () => {
    const bank = idOf('1010');
    const { body } = await bring([{ accountId: bank, amount: await balanceOf(bank) }]);
    expect(body).toEqual({ posted: 0, difference: 0 });
  });

  it('with an account that takes no postings are refused whole, and it is named', async () => {
    const [bank, heading] = [idOf('1010'), idOf('1000')];
    const was = await balanceOf(bank);
    const refused = await bring([
      { accountId: bank, amount: was + 1 },
      { accountId: heading, amount: 1 },
    ]);
    expect(refused.status).toBe(400);
    expect(JSON.stringify(refused.body)).toContain('is a heading and takes no postings');
    expect(await balanceOf(bank)).toBe(was);
  });

  it('are refused for another practice’s client, and from a broken request', async () => {
    const path = `/clients/${randomUUID()}/opening-balances`;
    expect((await maren.ask('POST', path, { last: '2026-10', balances: [] })).status).toBe(404);
    expect((await bring([{ accountId: idOf('1010'), amount: 0.5 }])).status).toBe(400);
  });
});
