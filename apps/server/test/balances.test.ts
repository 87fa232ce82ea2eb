import { randomUUID } from 'node:crypto';
import type {
  BalancesAnswer,
  MonthlyAnswer,
  MonthlyByValueAnswer,
  PostListAnswer,
} from '@iunctus/contract';
import {
  amountsWithin,
  addMonths,
  buildStatement,
  chartFrom,
  eachNode,
  rollUpOver,
  sectionAmounts,
  summedMonths,
  type Chart,
  type Ledger,
} from '@iunctus/core';
import { manyWrongTotals } from '../src/postings/balances.queries';
import {
  benchChart,
  clientNamed,
  freshDatabase,
  MAREN,
  serveDemo,
  withDemo,
  type Caller,
  type Running,
} from './harness';

describe('balances', () => {
  let server: Running;
  let maren: Caller;
  beforeAll(async () => {
    server = await serveDemo();
    maren = await server.signedIn(MAREN);
  });
  afterAll(() => server.stop());

  const chartOf = async (name: string): Promise<{ id: string; chart: Chart }> => {
    const { id } = await clientNamed(maren, name);
    const { accounts, settings, posted } = await benchChart(maren, id);
    return { id, chart: chartFrom(accounts, { settings, posted }) };
  };
  const ledgerOf = async (clientId: string, first: string, last: string): Promise<Ledger> => {
    const { body } = await maren.ask<BalancesAnswer>(
      'GET',
      `/clients/${clientId}/balances?first=${first}&last=${last}`,
    );
    return new Map(
      body.amounts.map(([id, balance, change, yearChange]) => [
        id,
        { balance, change, yearChange },
      ]),
    );
  };

  it.each(['Kestrel Lane Cider Works', 'Tern Street Ceramics'])(
    'of %s give a balance sheet that balances at the end of every month',
    async (name) => {
      const { id, chart } = await chartOf(name);
      for (let month = '2025-07'; month <= '2026-11'; month = addMonths(month, 1)) {
        const amounts = sectionAmounts(chart, rollUpOver(await ledgerOf(id, month, month)));
        const sum = (...codes: Parameters<typeof amounts.get>[0][]) =>
          codes.reduce((so, code) => so + (amounts.get(code) ?? 0), 0);
        const claims = sum('currentLiabilities', 'nonCurrentLiabilities', 'equity');
        expect(sum('currentAssets', 'nonCurrentAssets') + claims).toBe(0);
      }
    },
  );

  it('add up: twelve months are their year, and the year’s change is counted from its first month', async () => {
    const { id } = await chartOf('Kestrel Lane Cider Works');
    const year = await ledgerOf(id, '2025-07', '2026-06');
    const months = new Map<string, number>();
    for (let month = '2025-07'; month <= '2026-06'; month = addMonths(month, 1))
      for (const [account, { change }] of await ledgerOf(id, month, month))
        months.set(account, (months.get(account) ?? 0) + change);
    for (const [account, { change, yearChange }] of year) {
      expect(months.get(account)).toBe(change);
      expect(yearChange).toBe(change);
    }
  });

  describe('by month', () => {
    const monthlyOf = async (id: string): Promise<MonthlyAnswer> =>
      (await maren.ask<MonthlyAnswer>('GET', `/clients/${id}/monthly`)).body;

    it('come to the amounts of any period', async () => {
      const { id } = await clientNamed(maren, 'Kestrel Lane Cider Works');
      const { first, amounts, splits } = await monthlyOf(id);
      const monthly = summedMonths({ first, rows: [...amounts, ...splits] });
      for (const [from, last] of [['2025-07', '2026-06'], ['2026-03', '2026-03'], ['2024-01', '2027-01']] as const) {
        const asked = `/clients/${id}/balances?first=${from}&last=${last}`;
        const { body } = await maren.ask<BalancesAnswer>('GET', asked);
        const known = new Map([...body.amounts, ...body.splits].map((row) => [row[0], row]));
        const within = amountsWithin(monthly, { first: from, last }, 7);
        for (const row of within) expect(known.get(row[0]) ?? [row[0], 0, 0, 0]).toEqual(row);
      }
    }); // prettier-ignore

    it('tell twenty years apart at most, whatever year was mistyped', async () => {
      const { id } = await clientNamed(maren, 'Tern Street Ceramics');
      const chart = await benchChart(maren, id);
      const [one, other] = chart.posted;
      const lines = [one, other].map((accountId, side) => ({ accountId, amount: side === 0 ? 5 : -5, values: {}, comment: '', foreign: null })); // prettier-ignore
      const entry = { id: randomUUID(), date: '0203-05-01', source: 'journal', comment: '', lines };
      const asked = await maren.ask<PostListAnswer>('POST', `/clients/${id}/entry-lists`, { entries: [entry] }); // prettier-ignore
      expect(asked.body).toMatchObject({ posted: 1, refused: [] });
      const { amounts } = await monthlyOf(id);
      expect(amounts.map((row) => row.length)).toEqual(amounts.map(() => 241));
      const { body } = await maren.ask<BalancesAnswer>('GET', `/clients/${id}/balances?first=9999-12&last=9999-12`); // prettier-ignore
      const all = new Map(body.amounts.map(([account, balance]) => [account, balance]));
      for (const [account, ...months] of amounts)
        expect(months.reduce((so, amount) => so + amount, 0)).toBe(all.get(account));
    });

    it('are told apart by the values that lines carry', async () => {
      const { id } = await clientNamed(maren, 'Kestrel Lane Cider Works');
      const { settings } = await benchChart(maren, id);
      for (const { id: dimension, values } of settings.dimensions) {
        const { body } = await maren.ask<MonthlyByValueAnswer>('GET', `/clients/${id}/monthly-by-value?dimension=${dimension}`); // prettier-ignore
        const { rows } = await server.pool.query<{ value_id: string; sum: string }>(
          `SELECT line.dimension_values ->> $2 AS value_id, sum(line.amount) FILTER (WHERE line.amount > 0) AS sum
           FROM entry_line AS line JOIN chart ON chart.id = line.chart_id
           WHERE chart.client_id = $1 AND line.dimension_values ? $2 GROUP BY 1`,
          [id, dimension],
        );
        expect(body.values.map(({ valueId }) => valueId).sort()).toEqual(rows.map((row) => row.value_id).sort());
        expect(values.map((value) => value.id)).toEqual(expect.arrayContaining(rows.map((row) => row.value_id)));
        const whole = new Map((await monthlyOf(id)).amounts.map(([account, ...months]) => [account, months]));
        for (const { amounts } of body.values)
          for (const [account, ...months] of amounts) expect(months).toHaveLength(whole.get(account)?.length ?? -1);
      }
      expect(settings.dimensions.length).toBeGreaterThan(0);
    }); // prettier-ignore

    it('are none for books that are empty', async () => {
      const { body } = await maren.ask<{ id: string }>('POST', '/clients', { name: 'Nothing yet', legalForm: 'corporation', country: 'US', currency: 'USD', fiscalYearStart: 1, industry: null }); // prettier-ignore
      await maren.ask('POST', `/clients/${body.id}/chart`);
      expect(await monthlyOf(body.id)).toMatchObject({ amounts: [], splits: [] });
    });
  });

  it('agree with the entry lines that they are kept beside', async () => {
    const { rows } = await server.pool.query('SELECT id, practice_id AS "practiceId" FROM chart');
    for (const head of rows) expect(await manyWrongTotals(server.pool, head)).toEqual([]);
  });

  it('are found wrong by the check when they are', async () => {
    const pool = await freshDatabase();
    await withDemo(pool);
    await pool.query('ALTER TABLE account_month_total DISABLE TRIGGER USER');
    await pool.query(
      'UPDATE account_month_total SET amount = amount + 1 WHERE ctid = (SELECT min(ctid) FROM account_month_total)',
    );
    const { rows } = await pool.query('SELECT id, practice_id AS "practiceId" FROM chart');
    const wrong = await Promise.all(rows.map((head) => manyWrongTotals(pool, head)));
    expect(wrong.flat()).toHaveLength(1);
    await pool.end();
  });

  it('roll up as a recursive query in PostgreSQL sums the same tree', async () => {
    const { id, chart } = await chartOf('Kestrel Lane Cider Works');
    const rollUp = rollUpOver(await ledgerOf(id, '2025-07', '2026-10'));
    const { rows } = await server.pool.query(
      `WITH RECURSIVE below AS (
         SELECT account.id AS top, account.id FROM account
         JOIN chart ON chart.id = account.chart_id WHERE chart.client_id = $1
         UNION ALL
         SELECT below.top, account.id FROM below JOIN account ON account.parent_id = below.id
       )
       SELECT below.top, coalesce(sum(line.amount), 0)::text AS total
       FROM below LEFT JOIN entry_line AS line ON line.account_id = below.id
       GROUP BY below.top`,
      [id],
    );
    const totals = new Map(rows.map(({ top, total }) => [top, Number(total)]));
    for (const node of eachNode(chart.roots))
      expect(rollUp.total(node)).toBe(totals.get(node.account.id));
  });

  it('show seasons and a profit in the cider works’ first year', async () => {
    const { id, chart } = await chartOf('Kestrel Lane Cider Works');
    const rollUp = rollUpOver(await ledgerOf(id, '2025-07', '2026-06'));
    const { rows } = buildStatement(
      'profitAndLoss',
      { chart, rollUp },
      { depth: 1, zeroLines: false },
    );
    const net = rows.find(({ key }) => key === 'total/netProfit');
    expect(net !== undefined && 'amount' in net && net.amount !== null && net.amount > 0).toBe(
      true,
    );
  });

  it.each([
    ['first=2026-07&last=2026-06', 'ends before it begins'],
    ['first=2026-13&last=2027-01', 'is no month'],
  ])('refuse the period %s: it %s', async (query, rule) => {
    const { id } = await chartOf('Kestrel Lane Cider Works');
    const answer = await maren.ask('GET', `/clients/${id}/balances?${query}`);
    expect(answer).toMatchObject({ status: 400, body: { issues: [{ rule }] } });
  });
});
