import type {
  BalancesAnswer,
  BenchChart,
  Person,
  RevisionAnswer,
  RevisionChartAnswer,
} from '@iunctus/contract';
import { buildStatement, chartFrom, ledgerOf, rollUpOver, type Operation } from '@iunctus/core';
import {
  adoptAs,
  benchChart,
  clientNamed,
  idOf,
  MAREN,
  rename,
  serveDemo,
  TOBIAS,
  type Caller,
  type Running,
} from './harness';

describe('accounts that only some may see', () => {
  let server: Running;
  let maren: Caller;
  let tobias: Caller;
  let clientId: string;
  let whole: BenchChart;
  let wages: string;
  let taxes: string;
  let mine: string;
  beforeEach(async () => {
    server = await serveDemo();
    maren = await server.signedIn(MAREN);
    tobias = await server.signedIn(TOBIAS);
    clientId = (await clientNamed(maren, 'Kestrel Lane Cider Works')).id;
    whole = await benchChart(maren, clientId);
    [wages, taxes] = [idOf(whole, '6010'), idOf(whole, '6020')];
    const people = (await maren.ask<Person[]>('GET', '/people')).body;
    mine = people.find(({ name }) => name === 'Maren Oake')?.id ?? '';
    await adopt(maren, restrict(wages), restrict(taxes));
  });
  afterEach(() => server.stop());

  const restrict = (id: string, value: readonly string[] = [mine]): Operation => ({
    type: 'changeSetting',
    id,
    setting: 'restrictedTo',
    value: [...value],
  });
  const base = () => `/clients/${clientId}`;
  const adopt = (who: Caller, ...operations: Operation[]) => adoptAs(who, clientId, ...operations);
  const balances = async (who: Caller) =>
    (await who.ask<BalancesAnswer>('GET', `${base()}/balances?first=2026-07&last=2026-10`)).body;
  const profit = async (who: Caller): Promise<number | undefined> => {
    const { accounts, ...parts } = await benchChart(who, clientId);
    const ledger = ledgerOf((await balances(who)).amounts);
    const source = { chart: chartFrom(accounts, parts), rollUp: rollUpOver(ledger) };
    const { rows } = buildStatement('profitAndLoss', source, { depth: 1, zeroLines: false });
    const row = rows.find(({ key }) => key === 'total/netProfit');
    return row?.type === 'total' ? row.amount : undefined;
  };

  it('are one “other” account for everybody else, in the chart and in the totals', async () => {
    const seen = await benchChart(tobias, clientId);
    expect(seen.accounts).toHaveLength(whole.accounts.length - 1);
    expect(seen.accounts.find(({ id }) => id === wages)).toMatchObject({
      name: 'Other',
      number: null,
    });
    expect(seen.accounts.map(({ name }) => name)).not.toContain('Payroll taxes');
    const sumOf = (answer: BalancesAnswer, ids: readonly string[]) =>
      answer.amounts
        .filter(([id]) => ids.includes(id))
        .reduce((so, [, balance]) => so + balance, 0);
    const other = sumOf(await balances(tobias), [wages]);
    expect(other).toBe(sumOf(await balances(maren), [wages, taxes]));
    expect((await balances(tobias)).amounts.some(([id]) => id === taxes)).toBe(false);
    expect(await profit(tobias)).toBe(await profit(maren));
  });

  it('stay as they are for those who may see them', async () => {
    const { accounts } = await benchChart(maren, clientId);
    expect(accounts.find(({ id }) => id === taxes)?.name).toBe('Payroll taxes');
  });

  it('cannot be changed by those who do not see them', async () => {
    const { status, body } = await adopt(tobias, rename(wages, 'Pay'));
    expect([status, body.refusal?.code]).toEqual([422, 'restrictedAccount']);
    expect((await adopt(tobias, restrict(taxes, []))).status).toBe(422);
  });

  it('are not told by the history, nor by the chart as it was', async () => {
    await adopt(maren, rename(taxes, 'Employer’s contributions'));
    const { body: revisions } = await tobias.ask<RevisionAnswer[]>('GET', `${base()}/revisions`);
    expect(revisions[0]?.operations).toEqual([]);
    expect(JSON.stringify(revisions)).not.toContain('Employer’s contributions');
    const { body: then } = await tobias.ask<RevisionChartAnswer>(
      'GET',
      `${base()}/revisions/3/chart`,
    );
    expect(then.accounts.map(({ name }) => name)).not.toContain('Payroll taxes');
    const former = (await benchChart(tobias, clientId)).former;
    expect(former.some(({ accountId }) => accountId === taxes)).toBe(false);
  });

  it('are not told by their postings', async () => {
    const asked = await tobias.ask('POST', `${base()}/postings`, { accounts: [taxes] });
    expect(asked.status).toBe(404);
  });

  it('are taken back only by those who see them', async () => {
    const { revision } = await benchChart(maren, clientId);
    const undo = (who: Caller) => who.ask('GET', `${base()}/revisions/${revision}/undo`);
    expect((await undo(tobias)).status).toBe(422);
    expect((await undo(maren)).status).toBe(200);
  });

  it('never shut out the one who restricts them', async () => {
    const people = (await maren.ask<Person[]>('GET', '/people')).body;
    const others = people.filter(({ id }) => id !== mine).map(({ id }) => id);
    const rent = idOf(whole, '6110');
    expect((await adopt(maren, restrict(rent, others))).status).toBe(400);
  });

  it('are open to all again once the restriction is taken away', async () => {
    await adopt(maren, { type: 'changeSetting', id: taxes, setting: 'restrictedTo', value: null });
    const { accounts } = await benchChart(tobias, clientId);
    expect(accounts.find(({ id }) => id === taxes)?.name).toBe('Payroll taxes');
  });
});
