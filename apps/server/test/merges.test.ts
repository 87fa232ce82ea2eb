import { randomUUID } from 'node:crypto';
import type { BalancesAnswer, BenchChart } from '@iunctus/contract';
import type { Operation } from '@iunctus/core';
import {
  adoptAs,
  benchChart,
  clientNamed,
  idOf,
  MAREN,
  serveDemo,
  type Caller,
  type Running,
} from './harness';

describe('merging accounts', () => {
  let server: Running;
  let maren: Caller;
  let clientId: string;
  let before: BenchChart;
  let merge: Operation;
  beforeEach(async () => {
    server = await serveDemo();
    maren = await server.signedIn(MAREN);
    clientId = (await clientNamed(maren, 'Tern Street Ceramics')).id;
    before = await benchChart(maren, clientId);
    merge = {
      type: 'merge',
      id: idOf(before, '5002'),
      into: idOf(before, '5001'),
      acrossKinds: false,
    };
  });
  afterEach(() => server.stop());

  const adopt = (...operations: Operation[]) => adoptAs(maren, clientId, ...operations);
  const amounts = async () => {
    const { body } = await maren.ask<BalancesAnswer>(
      'GET',
      `/clients/${clientId}/balances?first=2026-01&last=2026-10`,
    );
    return new Map(body.amounts.map(([id, balance]) => [id, balance]));
  };
  const post = (date: string, debit: string, credit: string) =>
    server.pool.query(
      `WITH entry AS (
         INSERT INTO entry (id, practice_id, chart_id, entry_date, source, comment)
         SELECT $1, practice_id, id, $2, 'journal', '' FROM chart WHERE client_id = $3
         RETURNING id, chart_id
       )
       INSERT INTO entry_line (chart_id, entry_id, line_number, account_id, amount)
       SELECT entry.chart_id, entry.id, line.number, line.account, line.amount
       FROM entry, (VALUES (1, $4::uuid, 500::bigint), (2, $5::uuid, -500)) AS line (number, account, amount)`,
      [randomUUID(), date, clientId, debit, credit],
    );

  it('takes the account out of the chart, and leaves its postings where they are', async () => {
    const was = await amounts();
    expect((await adopt(merge)).status).toBe(200);
    const after = await benchChart(maren, clientId);
    expect(after.accounts).toHaveLength(before.accounts.length - 1);
    expect(after.merged).toMatchObject([
      { account: { id: idOf(before, '5002'), number: '5002' }, into: idOf(before, '5001') },
    ]);
    expect(await amounts()).toEqual(was);
  });

  it('frees the number for another account', async () => {
    await adopt(merge);
    const id = idOf(before, '5003');
    expect((await adopt({ type: 'renumber', id, number: '5002' })).status).toBe(200);
  });

  it('loses nothing when it is taken back after new postings', async () => {
    await adopt(merge);
    await post('2026-10-20', idOf(before, '5001'), idOf(before, '1000'));
    const was = await amounts();
    const undo = await maren.ask<{ operations: Operation[] }>(
      'GET',
      `/clients/${clientId}/revisions/2/undo`,
    );
    await adopt(...undo.body.operations);
    const after = await benchChart(maren, clientId);
    expect(after.merged).toEqual([]);
    expect(after.accounts).toEqual(before.accounts);
    expect(await amounts()).toEqual(was);
  });

  it('lets nothing more be posted to the account that was merged', async () => {
    await adopt(merge);
    await expect(
      post('2026-10-20', idOf(before, '5002'), idOf(before, '1000')),
    ).rejects.toMatchObject({ constraint: 'entry_line_not_on_merged' });
  });

  it('remembers what it was numbered and called', async () => {
    await adopt(merge);
    const { former } = await benchChart(maren, clientId);
    expect(former).toEqual([
      {
        accountId: idOf(before, '5002'),
        number: '5002',
        name: expect.any(String),
        untilRevision: 2,
      },
    ]);
  });

  it('refuses to merge different kinds by mistake', async () => {
    const into = idOf(before, '6100');
    expect(await adopt({ ...merge, into } as Operation)).toMatchObject({
      status: 422,
      body: { refusal: { code: 'kindsDiffer' } },
    });
  });
});
